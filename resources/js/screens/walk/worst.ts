import type { Cell, Verdict } from '@/api/types'

const SEVERITY: Verdict[] = ['unchecked', 'sound', 'watch', 'change', 'failed']

/** The gravest verdict of some places, as the server gave them. */
export function worstOf(cells: Pick<Cell, 'now'>[]): Verdict {
  return cells
    .map((cell) => cell.now?.verdict ?? 'unchecked')
    .reduce<Verdict>((a, b) => (SEVERITY.indexOf(b) > SEVERITY.indexOf(a) ? b : a), 'unchecked')
}
