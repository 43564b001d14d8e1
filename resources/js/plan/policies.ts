import type { Policies, PolicyLine } from '@/api/types'
import { say } from '@/words'

type Table = NonNullable<Policies['table']>
type Turn = Table['turns'][number]

/** A money axis that holds all strips, its ends round figures. */
export function axisOf(lines: Pick<PolicyLine, 'p10' | 'p90'>[]): { from: number; to: number; ticks: number[] } {
  const low = Math.min(...lines.map(({ p10 }) => p10))
  const high = Math.max(...lines.map(({ p90 }) => p90))
  const rough = Math.max(high - low, 1) / 3
  const size = 10 ** Math.floor(Math.log10(rough))
  const step = [1, 2, 5, 10].map((times) => times * size).find((round) => round >= rough) ?? rough
  const from = Math.floor(low / step) * step
  const to = Math.max(from + step, Math.ceil(high / step) * step)
  return { from, to, ticks: Array.from({ length: Math.round((to - from) / step) + 1 }, (_, at) => from + at * step) }
}

/** Where a sum stands on the axis, in percent of its length. */
export const at = (value: number, { from, to }: { from: number; to: number }) => (100 * (value - from)) / (to - from)

/** What turns the answer, the nearest first. */
export const nearestTurns = ({ turns }: Table): Table['turns'] =>
  [...turns]
    .sort(
      (a, b) =>
        Math.abs(Math.log(a.of === 'share' ? 1 : a.factor)) - Math.abs(Math.log(b.of === 'share' ? 1 : b.factor)),
    )
    .slice(0, 3)

/** As `would be cheapest if a stop cost 310% of what it does.` */
export function sayTurn({ of, factor, school, by }: Turn): string {
  const percent = Math.round(100 * factor)
  if (of !== 'share' || by === null) return say(`turn.${of}`, { percent })
  return by === school
    ? say('turn.own_share', { percent })
    : say('turn.share', { percent, school: say(`school.${by}`) })
}
