import type { Aim } from '@/api/types'
import type { Units } from '@/measure/length'

const percent = (share: number) => `${Number((100 * share).toFixed(1))}%`

/** What the shop says of a crop, figure by figure: `singulation 95%, spacing -3 to +5%, depth 2 in, depth off by 1/8 in at most`. */
export function sayAim(of: Aim, units: Units): string {
  const length = (mm: number) => (units === 'mm' ? `${mm} mm` : `${Number((mm / 25.4).toFixed(2))} in`)
  const edge = (share: number | null, sign: string) => (share === null ? 'typical' : sign + percent(Math.abs(share)))
  const band = `${edge(of.rate_low, '-')} to ${edge(of.rate_high, '+')}`
  return [
    of.singulation !== null && `singulation ${percent(of.singulation)}`,
    (of.rate_low !== null || of.rate_high !== null) && `spacing ${band}`,
    of.depth !== null && `depth ${length(of.depth)}`,
    of.depth_band !== null && `depth off by ${length(of.depth_band)} at most`,
    of.spacing_cv !== null && `spacing scatter (CV) ${percent(of.spacing_cv)} at most`,
    of.emergence_hours !== null && `from 10 to 90% up within ${of.emergence_hours} h`,
  ]
    .filter(Boolean)
    .join(', ')
}
