import { computed } from 'vue'
import type { Answer, Check, Seen, Unit } from '@/api/types'
import { fromMm, FURROW_UNIT, printLength } from '@/measure/length'
import { AREA_UNIT, areaText, printArea, printAreaFigure } from '@/measure/area'
import { printApart, printQuantity, printQuantityFigure, sayInUnit, unitName } from '@/measure/quantity'
import { useSession } from '@/session'
import { say } from '@/words'

const whole = (value: number) => Math.round(value).toLocaleString('en')

/** Prints figures, given as the API has them, the way the signed-in person works. */
export function useUnits() {
  const session = useSession()
  const units = computed(() => session.units)

  const quantity = (value: number, unit: Unit) => printQuantity(value, unit, units.value)
  const figure = (value: number, unit: Unit) => printQuantityFigure(value, unit, units.value)

  /** What was read, in a word or a figure with its unit. */
  function answer({ value, state }: Pick<Answer, 'value' | 'state'>, check: Pick<Check, 'unit'>): string {
    if (value !== null) return quantity(value, check.unit ?? 'mark')
    return state === null ? '' : say(`state.${state}`)
  }

  /** What stands at a place: the answer, or that it is not fitted or was only looked over. */
  function reading(now: Seen, check: Pick<Check, 'unit'>): string {
    const hasAnswer = now.result === 'recorded' || (now.result === 'fitted' && now.value !== null)
    return hasAnswer ? answer(now, check) : say(`result.${now.result}`)
  }

  const furrowUnit = () => (units.value === 'in' ? 'mi' : 'km')

  return {
    units,
    figure,
    quantity,
    answer,
    reading,
    length: (mm: number) => quantity(mm, 'mm'),
    apart: (one: number, other: number, unit: Unit) => printApart(one, other, unit, units.value),
    unitName: (unit: Unit) => unitName(unit, units.value),
    sayInUnit: (unit: Unit) => sayInUnit(unit, units.value),
    /** Acres of the planter, in whole acres or hectares. */
    area: (acres: number) => printArea(acres, units.value),
    areaUnit: () => AREA_UNIT[units.value].name,
    /** The same as it was planted, to the thousandth. */
    exactArea: (acres: number) => `${areaText(acres, units.value)} ${AREA_UNIT[units.value].name}`,
    areaFigure: (acres: number) => printAreaFigure(acres, units.value),
    /** Furrow distance, in whole miles or kilometres. */
    distance: (metres: number) => `${whole(metres / FURROW_UNIT[units.value])} ${furrowUnit()}`,
    /** The same to be typed over: to a hundredth, so that nothing changes where nothing is typed. */
    exactDistance: (metres: number) => `${Number((metres / FURROW_UNIT[units.value]).toFixed(2))} ${furrowUnit()}`,
    /** A length in the other system, to stand beside: millimetres whole, inches to the sixteenth. */
    beside: (mm: number) => (units.value === 'in' ? `${Math.round(mm)} mm` : printLength(fromMm(mm), 'in')),
  }
}
