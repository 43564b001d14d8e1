import type { Bench } from '@/api/types'

export type BenchRun = Bench['runs'][number]

/** A share as it is said: `98.0 %`. */
export const percent = (share: number) => `${(100 * share).toFixed(1)} %`

/** The newest run of each row, by row. */
export function newestOf(runs: BenchRun[]): BenchRun[] {
  const newest = new Map<number, BenchRun>()
  for (const run of runs) if (!newest.has(run.row)) newest.set(run.row, run)
  return [...newest.values()].sort((a, b) => a.row - b.row)
}
