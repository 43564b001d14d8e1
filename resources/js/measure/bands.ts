import type { Band, Doubt, Judgement, Reason } from '@/api/types'
import { fromMm, printDifference, printLength, type Units } from './length'
import { say } from '@/words'

/** Looks a value up in a place's verdict bands, which core has compiled. */
export function judgeByBands(bands: Band[], nm: number): Judgement {
  const band = bands.findLast((candidate) => fromMm(candidate.from_mm) <= nm)
  return band ?? { verdict: 'unchecked', reasons: [] }
}

/** Which of a place's doubts concern a value. */
export function doubtsAbout(doubts: Doubt[], nm: number): Doubt[] {
  return doubts.filter(
    ({ below_mm, above_mm }) =>
      (below_mm !== null && nm < fromMm(below_mm)) || (above_mm !== null && nm > fromMm(above_mm)),
  )
}

/** Words for the reasons of a verdict, or for doubts. */
export function wordReasons(kind: 'reason' | 'doubt', reasons: Reason[], nm: number | null, units: Units): string {
  return reasons
    .map(({ code, ref_mm }) => {
      const reference = ref_mm === null ? null : fromMm(ref_mm)
      return say(`${kind}.${code}`, {
        ref: reference === null ? '' : printLength(reference, units),
        by: reference === null || nm === null ? '' : printDifference(nm - reference, units),
      })
    })
    .join(' ')
}
