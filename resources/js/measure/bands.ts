import type { Answer, Band, Check, Doubt, Judgement, Reason, WalkStep } from '@/api/types'
import { say, sayReason } from '@/words'
import type { Units } from './length'
import { fullDate } from '@/dates'
import { worst } from './verdict'
import { printApart, printQuantity, reasonsOf, stepsPerUnit, toSteps } from './quantity'

/**
 * The bands that hold at a place: its own where the season's outlook counts, or the rows', or the check's; and beside what
 * the other side reads, where the two are held against each other.
 */
export function bandsAt(step: WalkStep, check: Check, rowBands: Record<string, Band[]>, other: number | null): Band[] {
  const bands = step.bands ?? rowBands[`${step.check} ${step.row}`] ?? rowBands[step.check] ?? check.bands
  return other === null || check.sides_within === null ? bands : besideOther(bands, check, other, check.sides_within)
}

/** Unlike the other side is to be changed, whatever each side would be by itself. */
function besideOther(bands: Band[], check: Check, other: number, within: number): Band[] {
  const unit = check.unit ?? 'mark'
  // Of two tires the one that is off its target is to blame.
  if (check.rule === 'target' && judgeByBands(bands, other, check).verdict !== 'sound') return bands
  const beyond = other + within + 1 / stepsPerUnit(unit)
  const from = [...new Set([...bands.map((band) => band.from), other - within, beyond])].sort((a, b) => a - b)
  return from.map((start) => {
    const own = judgeByBands(bands, start, check)
    const isAlike =
      toSteps(start, unit) >= toSteps(other - within, unit) && toSteps(start, unit) < toSteps(beyond, unit)
    if (isAlike || worst([own.verdict, 'change']) === own.verdict) return { ...own, from: start }
    return { from: start, verdict: 'change', reasons: [{ code: 'unequal_sides', ref: other, unit }] }
  })
}

/** Looks a figure up in verdict bands, which core has compiled. */
export function judgeByBands(bands: Band[], value: number, check: Pick<Check, 'unit'>): Judgement {
  const unit = check.unit ?? 'mark'
  const band = bands.findLast((candidate) => toSteps(candidate.from, unit) <= toSteps(value, unit))
  return band ?? { verdict: 'unchecked', reasons: [] }
}

/** Looks up what a state means, with the reasons that were ticked, as core has it: the verdict is what was said of the whole. */
export function judgeState(check: Check, { state, chips }: Pick<Answer, 'state' | 'chips'>): Judgement {
  const said = check.states.find((candidate) => candidate.state === state)
  if (!said) return { verdict: 'unchecked', reasons: [] }
  if (chips.length === 0) return said
  const weights = check.chips.filter(({ chip }) => chips.includes(chip)).map(({ verdict }) => verdict)
  return {
    verdict: said.verdict === 'sound' || weights.includes('failed') ? worst([said.verdict, ...weights]) : said.verdict,
    reasons: reasonsOf(chips),
  }
}

/** Which of a place's doubts concern a figure. */
export function doubtsAbout(doubts: Doubt[], value: number): Doubt[] {
  return doubts.filter(
    ({ below, above, unit }) =>
      (below !== null && toSteps(value, unit) < toSteps(below, unit)) ||
      (above !== null && toSteps(value, unit) > toSteps(above, unit)),
  )
}

/** Words for the reasons of a verdict. */
export function wordReasons(check: string, reasons: Reason[], value: number | null, units: Units): string {
  return reasons.map((reason) => sayReason(check, reason.code, fill(reason, value, units))).join(' ')
}

export function wordDoubts(doubts: Reason[], value: number | null, units: Units): string {
  return doubts.map((doubt) => say(`doubt.${doubt.code}`, fill(doubt, value, units))).join(' ')
}

function fill({ ref, unit, on }: Reason, value: number | null, units: Units): Record<string, string> {
  return {
    on: on ? fullDate(on) : '',
    ref: ref === null || unit === null ? '' : printQuantity(ref, unit, units),
    by: ref === null || unit === null || value === null ? '' : printApart(value, ref, unit, units),
  }
}
