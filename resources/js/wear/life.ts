import type { PlaceForecast } from '@/api/types'
import { AREA_UNIT, printArea, printAreaFigure } from '@/measure/area'
import type { Units } from '@/measure/length'

/** The sign of each standing, told beside its tint. */
export const SIGNS: Record<PlaceForecast['standing'], string> = {
  at_limit: '▲',
  hardly_lasts: '▲',
  may_not_last: '◐',
  lasts: '●',
  nominal: '○',
  unknown: '–',
}

/** Acres or hectares left, from nine in ten to one in ten; open where the end is out of sight. */
export function printLeft({ p10, p50, p90 }: PlaceForecast['left_acres'], thin: boolean, units: Units): string {
  if (p50 === null) return 'beyond the forecast'
  if (p50 === 0) return 'none'
  if (thin) return `about ${printArea(p50, units)}`
  return `${printAreaFigure(p10 ?? 0, units)} – ${p90 === null ? `… ${AREA_UNIT[units].name}` : printArea(p90, units)}`
}

/** What will not make the season, the worst odds first. */
export function willNotLast(places: PlaceForecast[]): PlaceForecast[] {
  return places.filter(({ short }) => short).sort((a, b) => (b.chance ?? 1) - (a.chance ?? 1) || a.row - b.row)
}
