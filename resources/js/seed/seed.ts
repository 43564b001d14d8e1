import type { Disc, SeedLot } from '@/api/types'
import { AREA_UNIT, printAreaFigure } from '@/measure/area'
import type { Units } from '@/measure/length'
import { say } from '@/words'

/** What is known of the seed, the strongest first: by caliper, by the class on its tag, or by how many make a pound. */
function known({ size, size_class, estimated_mm }: SeedLot): string {
  if (size !== null) return `${size} mm`
  if (size_class !== '') return size_class
  return estimated_mm ? `about ${estimated_mm.join(' to ')} mm, from seeds per pound` : ''
}

/** What a lot is by the side of the disc that is chosen, by what that is known, and which of the shop's would take it; nothing where either is not in the lists. */
export function sayFit(lot: SeedLot | undefined, disc: Disc | undefined, discs: Disc[]): string {
  const seed = lot ? known(lot) : ''
  if (!lot || seed === '') return ''
  const fitOf = (id: number) => lot.discs.find((one) => one.id === id)
  const how = (id: number) => {
    const { by = null, contradicts = false } = fitOf(id) ?? {}
    const parts = [by === null ? '' : say(`fit_by.${by}`), contradicts ? 'size and tag disagree: measure again' : '']
    return `(${parts.filter(Boolean).join('; ')})`
  }
  const named = ({ id, name }: Disc) => `${name} ${how(id)}`
  const others = discs.filter((of) => of !== disc && fitOf(of.id)?.takes === 'fits')
  const takes = disc && fitOf(disc.id)?.takes
  if (disc && takes === 'fits') return `${seed}: fits ${named(disc)}.`
  const instead = others.length > 0 ? ` ${others.map(named).join(', ')} would fit.` : ` ${lot.get}`
  if (disc && takes) {
    const range =
      disc.from_size === null || takes === 'not_meant' ? '' : `, made for ${disc.from_size} to ${disc.to_size} mm`
    return `${seed}: ${say(`takes.${takes}`)} ${how(disc.id)}${range}.${instead}`
  }
  return disc === undefined && discs.length > 0 ? `${seed}:${instead}` : ''
}

const KILOGRAMS_A_POUND = 0.45359237
const rounded = (value: number, places: number) => Number(value.toFixed(places)).toLocaleString('en')

/** What a field takes: `Long Acre, Big planter: 300 ac, 0.38 units/ac, 113 units, 2.3 boxes`. */
export function sayField(of: SeedLot['fields'][number], units: Units): string {
  const { name, acres } = AREA_UNIT[units]
  const pounds = of.pounds_an_acre === null ? null : of.pounds_an_acre / (units === 'mm' ? 1 / KILOGRAMS_A_POUND : 1)
  const parts = [
    `${of.acres < 10 ? rounded(of.acres / acres, 2) : printAreaFigure(of.acres, units)} ${name}`,
    of.units_an_acre === null ? 'no population yet' : `${rounded(of.units_an_acre * acres, 2)} units/${name}`,
    pounds === null ? '' : `${rounded(pounds * acres, 1)} ${units === 'mm' ? 'kg' : 'lb'}/${name}`,
    of.units === null ? '' : `${rounded(of.units, 1)} units`,
    of.boxes === null ? '' : `${rounded(of.boxes, 1)} ${of.boxes === 1 ? 'box' : 'boxes'}`,
  ]
  return `${of.field}, ${of.planter}: ${parts.filter(Boolean).join(', ')}`
}

/** `oats 60%, peas 40%`; empty of a lot of one kind. */
export const sayMixture = ({ mixture }: SeedLot) =>
  mixture.map(({ crop, share }) => `${crop} ${rounded(100 * share, 2)}%`).join(', ')

/** What a disc is meant for, as its list has it. */
export function sayMeant({ from_size, to_size, crop, size_class }: Disc): string {
  const range = from_size === null ? '' : `${from_size} to ${to_size} mm`
  return [range, [crop, size_class].filter(Boolean).join(' ')].filter(Boolean).join(', ') || 'not known'
}

/** Units that are short for the fields of the season; 0 where there are enough, null where nobody counted. */
export const shortOf = ({ on_hand, needed }: SeedLot) =>
  on_hand === null ? null : Math.max(0, Math.ceil(needed - on_hand))
