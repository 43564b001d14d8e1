import type { Bench } from '@/api/types'

export type BenchRun = Bench['runs'][number]

/** A share as it is said: `98.0 %`. */
export const percent = (share: number) => `${(100 * share).toFixed(1)} %`

/** What to look at first, where skips and doubles lean to one side by more than luck would. */
export function lean({ skips, doubles }: Pick<BenchRun, 'skips' | 'doubles'>): 'skips' | 'doubles' | undefined {
  // Two counts of the same size differ by more than twice the root of their sum once in twenty.
  if (Math.abs(skips - doubles) <= 2 * Math.sqrt(skips + doubles)) return undefined
  return skips > doubles ? 'skips' : 'doubles'
}

/** The newest run of each row, by row; of one stage where that is asked for. */
export function newestOf(runs: BenchRun[]): BenchRun[] {
  const newest = new Map<number, BenchRun>()
  for (const run of runs) if (!newest.has(run.row)) newest.set(run.row, run)
  return [...newest.values()].sort((a, b) => a.row - b.row)
}
