import type { Verdict } from '@/api/types'

const ORDER: Verdict[] = ['unchecked', 'sound', 'watch', 'change', 'failed']

/** How grave a verdict is, as core ranks them: 0 (unchecked) to 4 (failed). */
export const severity = (verdict: Verdict): number => ORDER.indexOf(verdict)

/** The gravest of some verdicts; unchecked where there is none. */
export function worst(verdicts: Verdict[]): Verdict {
  return verdicts.reduce((a, b) => (severity(b) > severity(a) ? b : a), 'unchecked')
}

/** The gravest verdict of some places. */
export function worstOf(cells: { now: { verdict: Verdict } | null }[]): Verdict {
  return worst(cells.map((cell) => cell.now?.verdict ?? 'unchecked'))
}
