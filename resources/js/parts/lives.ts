import type { LifeCurve } from '@/api/types'
import { FURROW_UNIT, type Units } from '@/measure/length'

/** What half of the parts reach, with its interval, in words. */
export function sayMedian(curve: LifeCurve, distance: (metres: number) => string): string {
  const count = `${curve.parts} fitted, ${curve.ended} worn out or failed`
  if (curve.ended === 0) return `${count}; none worn out yet; the longest has run ${distance(curve.longest_m)}.`
  if (curve.median_m === null)
    return `${count}; more than half still running, the longest ${distance(curve.longest_m)}.`
  if (curve.median_low_m === null && curve.median_high_m === null)
    return `${count}; half reach about ${distance(curve.median_m)}. Too few worn out to say how sure that is.`
  const ends = `${curve.median_low_m === null ? '?' : distance(curve.median_low_m)} to ${curve.median_high_m === null ? 'open' : distance(curve.median_high_m)}`
  return `${count}; half reach ${distance(curve.median_m)} (${ends}).`
}

/** What is left out of a curve, in words; nothing where nothing is. */
export function sayLeftOut({ left_out }: LifeCurve): string {
  if (left_out === 0) return ''
  return left_out === 1
    ? ' One more is left out: its distance is not known.'
    : ` ${left_out} more are left out: their distance is not known.`
}

/** A curve as steps from all running at nothing run, to as far as any part got. */
export function stepsOf(curve: LifeCurve): { ran: number; share: number; low: number | null; high: number | null }[] {
  const steps = [
    { ran: 0, share: 1, low: 1, high: 1 },
    ...curve.steps.map(({ ran_m, share, low, high }) => ({ ran: ran_m, share, low, high })),
  ]
  const last = steps[steps.length - 1]
  return last ? [...steps, { ...last, ran: Math.max(last.ran, curve.longest_m) }] : steps
}

/** Round distances in m, a few from 0 up to the furthest: whole miles or kilometres, as one counts them. */
export function roundMarks(furthest_m: number, units: Units): number[] {
  const apart = Math.max(1, furthest_m / FURROW_UNIT[units] / 4)
  const ten = 10 ** Math.floor(Math.log10(apart))
  const step = FURROW_UNIT[units] * ten * ([1, 2, 5].find((factor) => factor * ten >= apart) ?? 10)
  return Array.from({ length: Math.floor(furthest_m / step) + 1 }, (_, index) => index * step)
}
