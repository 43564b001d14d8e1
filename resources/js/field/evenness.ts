import type { Emergence } from '@/api/types'
import { say } from '@/words'
import { dateAndTime } from '@/dates'

type Row = Emergence['fields'][number]['rows'][number]

/** How evenly a row came up, with bounds where the counts do not tell, and when to count again. */
export function sayEvenness(row: Row, aimHours: number): string {
  const half =
    row.half === null ? say('evenness.half_by', { hours: row.half_by ?? 0 }) : say('evenness.half', { hours: row.half })
  const spread =
    row.hours === null
      ? say('evenness.between', { least: row.least ?? 0, most: row.most ?? 0 })
      : say(row.is_final ? 'evenness.hours' : 'evenness.hours_so_far', { hours: row.hours })
  return [
    half,
    spread,
    ...(row.slow === null ? [] : [say(row.slow ? 'evenness.slow' : 'evenness.in_time', { hours: aimHours })]),
    ...(row.count_again === null ? [] : [say('evenness.again', { when: dateAndTime(row.count_again) })]),
  ].join(', ')
}
