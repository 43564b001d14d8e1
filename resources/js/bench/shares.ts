import type { AirAdvice, Bench, StartSettings } from '@/api/types'
import { say } from '@/words'

export type BenchRun = Bench['runs'][number]

/** A share as it is said: `98.0%`. */
export const percent = (share: number) => `${(100 * share).toFixed(1)}%`

/** The newest run of each row, by row. */
export function newestOf(runs: BenchRun[]): BenchRun[] {
  const newest = new Map<number, BenchRun>()
  for (const run of runs) if (!newest.has(run.row)) newest.set(run.row, run)
  return [...newest.values()].sort((a, b) => a.row - b.row)
}

/** Which cells go wrong turn by turn, with what to look for; nothing where none does. */
export function sayCells(figures: BenchRun['figures']): string[] {
  const cells = (of: { cell: number; wrong: number; turns: number }[], what: string) =>
    of.map(({ cell, wrong, turns }) => `Cell ${cell} from the first seed on: ${what} in ${wrong} of ${turns} turns.`)
  const said = [...cells(figures?.skipping ?? [], 'skips'), ...cells(figures?.doubling ?? [], 'doubles')]
  return said.length === 0 ? [] : [...said, say('suspects.periodic')]
}

/** The advice in a sentence. */
export function sayAir({ air, low, high, in_sight, way }: NonNullable<AirAdvice['advice']>): string {
  const best = `Fewest errors at ${air} in H₂O; the best vacuum is between ${low} and ${high}, 8 times in 10.`
  if (in_sight) return best
  return way === null
    ? `Too early to tell if more or less is better. ${best}`
    : `Best vacuum is ${way === 'more' ? 'above' : 'below'} what you tested. ${best}`
}

const SIZED = {
  same: 'this seed lot',
  measured: 'seed of the same measured size',
  meant: 'seed of the same class',
  estimated: 'seed of about the same size, estimated from seeds per pound',
}

/** What to start with, and what that goes by. */
export function sayStart({
  singulator,
  air,
  way,
  by,
  skips,
  doubles,
  runs,
  seeds,
}: NonNullable<StartSettings['start']>): string {
  const set = [singulator && `singulator ${singulator}`, air !== null && `${air} in H₂O`].filter(Boolean).join(', ')
  const from = `${runs === 1 ? 'one run' : `${runs} runs`} on this disc with ${SIZED[by]}${by === 'same' ? '' : ` (${seeds.join(', ')})`}`
  const beyond = way === null ? '' : ` Best vacuum is ${way === 'more' ? 'above' : 'below'} what those runs tested.`
  return `Start with ${set}: from ${from}. Expect ${percent(skips)} skips, ${percent(doubles)} doubles.${beyond}`
}

/** How it was set up: ` · 13 in H₂O · Popcorn, lot 7 · 28.6 turns/min at 5 mph · step 2 · talc`. */
export function saySetUp(
  run: Pick<BenchRun, 'air' | 'seed' | 'rpm' | 'mph' | 'singulator' | 'lubricant' | 'run_in' | 'part_of'>,
): string {
  const speed = run.mph === null ? '' : `${run.mph} mph`
  return [
    run.air === null ? '' : `${run.air} in H₂O`,
    run.seed,
    run.rpm === null ? speed : `${run.rpm} turns/min at ${speed}`,
    run.singulator,
    run.lubricant,
    run.run_in ? `${run.run_in} seeds run in` : '',
    run.part_of === null ? '' : 'after the vacuum was changed',
  ]
    .filter(Boolean)
    .map((one) => ` · ${one}`)
    .join('')
}

/** What one turn by hand showed: `1 empty, 2 double of 30 cells`. */
export const sayLook = ({ skips, doubles, places }: Pick<BenchRun, 'skips' | 'doubles' | 'places'>): string =>
  skips + doubles === 0 ? `one seed in each of ${places} cells` : `${skips} empty, ${doubles} double of ${places} cells`

/** `1 skip, 2 doubles of 500`. */
export function sayCounts({ skips, doubles, places }: Pick<BenchRun, 'skips' | 'doubles' | 'places'>): string {
  return `${skips} ${skips === 1 ? 'skip' : 'skips'}, ${doubles} ${doubles === 1 ? 'double' : 'doubles'} of ${places}`
}
