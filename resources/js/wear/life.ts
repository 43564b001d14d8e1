import type { PlaceForecast } from '@/api/types'

/** A chance as people say it. */
export function printChance(chance: number): string {
  if (chance < 0.01) return 'under 1%'
  return chance > 0.99 ? 'over 99%' : `${Math.round(100 * chance)}%`
}

/** Acres left, from nine in ten to one in ten; open where the end is out of sight. */
export function printLeft({ p10, p50, p90 }: PlaceForecast['left_acres'], thin: boolean): string {
  const whole = (acres: number) => Math.round(acres).toLocaleString('en')
  if (p50 === null) return 'not in sight'
  if (p50 === 0) return 'none'
  if (thin) return `about ${whole(p50)} ac`
  return `${whole(p10 ?? 0)} – ${p90 === null ? '…' : whole(p90)} ac`
}

/** What will not make the season, the worst odds first. */
export function willNotLast(places: PlaceForecast[]): PlaceForecast[] {
  return places.filter(({ short }) => short).sort((a, b) => (b.chance ?? 1) - (a.chance ?? 1) || a.row - b.row)
}

/** Rows such as `3, 4, 9-12`; null where it says something else. */
export function readRows(typed: string, rowCount: number): number[] | null {
  const rows = new Set<number>()
  for (const part of typed.split(/[\s,;]+/).filter(Boolean)) {
    const found = /^(\d{1,2})(?:[-–](\d{1,2}))?$/.exec(part)
    if (found === null) return null
    const [from, to] = [Number(found[1]), Number(found[2] ?? found[1])]
    if (from < 1 || to > rowCount || from > to) return null
    for (let row = from; row <= to; row++) rows.add(row)
  }
  return rows.size === 0 ? null : [...rows].sort((a, b) => a - b)
}
