import { computed, type MaybeRefOrGetter, ref, toValue, watch } from 'vue'
import type { Band, Check, Doubt, Unit, WalkStep } from '@/api/types'
import { useUnits } from '@/composables/useUnits'
import { doubtsAbout, judgeByBands, wordReasons } from '@/measure/bands'
import { readFigure, reasonsOf, toSteps } from '@/measure/quantity'
import { say, sayFault } from '@/words'

type Figure = { step: WalkStep; check: Check; bands: Band[]; doubts: Doubt[] }

/** A figure while it is typed: what it says, how it is judged, and whether it is hard to believe. */
export function useFigure(of: MaybeRefOrGetter<Figure>) {
  const { units, quantity, apart } = useUnits()
  const step = computed(() => toValue(of).step)
  const check = computed(() => toValue(of).check)
  const typed = ref('')
  const complaint = ref('')
  /** The text that was doubted; entering it again confirms it. */
  const doubted = ref<string | null>(null)

  const unit = computed<Unit>(() => check.value.unit ?? 'mark')
  const read = computed(() => readFigure(typed.value, check.value, units.value))
  /** What is being typed, or else what stands here. */
  const value = computed(() => {
    if ('value' in read.value) return read.value.value
    return typed.value === '' ? (step.value.now?.value ?? null) : null
  })
  const judgement = computed(() => {
    if (typed.value === '' && step.value.now) return step.value.now
    if (value.value !== null) {
      const judged = judgeByBands(toValue(of).bands, value.value, check.value)
      const chips = 'value' in read.value ? read.value.chips : []
      return { ...judged, reasons: [...judged.reasons, ...reasonsOf(chips)] }
    }
    return { verdict: 'unchecked' as const, reasons: [] }
  })
  const reasons = computed(() => wordReasons(check.value.key, judgement.value.reasons, value.value, units.value))
  const last = computed(() => step.value.last?.value ?? null)
  const sinceLast = computed(() => {
    if (value.value === null || last.value === null || !step.value.last) return ''
    const change = toSteps(value.value, unit.value) - toSteps(last.value, unit.value)
    if (change === 0) return `Same as in ${step.value.last.season}.`
    const by = apart(value.value, last.value, unit.value)
    return `${by} ${change < 0 ? 'less' : 'more'} than in ${step.value.last.season} (${quantity(last.value, unit.value)}).`
  })
  const doubts = (figure: number) => doubtsAbout(toValue(of).doubts, figure)
  const raised = computed(() => (doubted.value === null || value.value === null ? [] : doubts(value.value)))
  /** Where this row belongs, by what all rows read. */
  const aim = computed(
    () =>
      toValue(of)
        .bands.flatMap((band) => band.reasons)
        .find(({ code }) => code === 'at_aim')?.ref ?? null,
  )
  const marks = computed(() =>
    Object.entries(aim.value === null ? check.value.marks : { ...check.value.marks, aim: aim.value })
      .filter(([name]) => name !== 'new')
      .map(([name, value]) => ({ value, label: say(`mark.${name}`) })),
  )

  /** What is typed, if it can be stored; else why it cannot is said. */
  function enter(): { typed: string; confirmed: boolean } | null {
    if (!('value' in read.value)) {
      complaint.value = sayFault(read.value)
      return null
    }
    const isDoubtful = doubts(read.value.value).length > 0
    if (isDoubtful && doubted.value !== typed.value) {
      doubted.value = typed.value
      return null
    }
    const entered = { typed: typed.value, confirmed: isDoubtful }
    clear()
    return entered
  }

  /** Says to which side what is typed is off. */
  function sayOff(side: 'L' | 'R'): void {
    typed.value = `${typed.value.replace(/\s*(l|left|r|right)\.?\s*$/i, '')} ${side}`.trim()
  }

  function clear(): void {
    typed.value = ''
    complaint.value = ''
    doubted.value = null
  }

  watch(typed, () => (complaint.value = ''))

  return {
    typed,
    complaint,
    unit,
    value,
    judgement,
    reasons,
    last,
    sinceLast,
    raised,
    aim,
    marks,
    enter,
    sayOff,
    clear,
  }
}
