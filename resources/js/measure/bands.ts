import type { Answer, Band, Check, Doubt, Judgement, Reason, WalkStep } from '@/api/types'
import { say, sayReason } from '@/words'
import type { Units } from './length'
import { shortDate } from '@/dates'
import { worst } from './verdict'
import { printApart, printQuantity, toSteps } from './quantity'

/** The bands that hold at a place: its own where the season's outlook counts, or the rows', or the check's. */
export function bandsAt(step: WalkStep, check: Check, rowBands: Record<string, Band[]>): Band[] {
  return step.bands ?? rowBands[step.check] ?? check.bands
}

/** Looks a figure up in verdict bands, which core has compiled. */
export function judgeByBands(bands: Band[], value: number, check: Pick<Check, 'unit'>): Judgement {
  const unit = check.unit ?? 'mark'
  const band = bands.findLast((candidate) => toSteps(candidate.from, unit) <= toSteps(value, unit))
  return band ?? { verdict: 'unchecked', reasons: [] }
}

/** Looks up what a state means, with the reasons that were ticked: the worst of what core says of each. */
export function judgeState(check: Check, { state, chips }: Pick<Answer, 'state' | 'chips'>): Judgement {
  const said = check.states.find((candidate) => candidate.state === state)
  if (!said) return { verdict: 'unchecked', reasons: [] }
  if (chips.length === 0) return said
  const weights = check.chips.filter(({ chip }) => chips.includes(chip)).map(({ verdict }) => verdict)
  return {
    verdict: worst([said.verdict, ...weights]),
    reasons: chips.map((chip) => ({ code: `chip.${chip}`, ref: null, unit: null })),
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
    on: on ? shortDate(on) : '',
    ref: ref === null || unit === null ? '' : printQuantity(ref, unit, units),
    by: ref === null || unit === null || value === null ? '' : printApart(value, ref, unit, units),
  }
}
