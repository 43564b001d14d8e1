import type { Band } from '@/api/types'
import { fromMm, NM_PER_INCH, NM_PER_MM, printFigure, type Units } from './length'

export type Tick = { nm: number; size: 'small' | 'middle' | 'large'; label?: string }

/** How far a strip goes beyond the outermost thing on it. */
const MARGIN = { in: NM_PER_INCH / 8, mm: 3 * NM_PER_MM }

/** Where a strip begins and ends: all the figures on it with a margin, at whole label ticks. */
export function stripRange(figures: number[], units: Units): { from: number; to: number } {
  const step = labelStep(figures, units)
  const low = Math.max(0, Math.min(...figures) - MARGIN[units])
  const high = Math.max(...figures) + MARGIN[units]
  return { from: Math.floor(low / step) * step, to: Math.ceil(high / step) * step }
}

/** The ticks of a machinist's rule: sixteenths labelled at the quarters, or millimetres labelled at the tens. */
export function stripTicks(from: number, to: number, units: Units, width: number): Tick[] {
  const label = labelStep([from, to], units)
  const small = units === 'in' ? NM_PER_INCH / 16 : NM_PER_MM
  const finest = ((to - from) / small) * 5 > width ? label / 4 : small
  const middle = units === 'in' ? NM_PER_INCH / 8 : 5 * NM_PER_MM
  const ticks: Tick[] = []
  for (let nm = from; nm <= to; nm += finest) {
    if (nm % label === 0) ticks.push({ nm, size: 'large', label: printFigure(nm, units) })
    else ticks.push({ nm, size: nm % middle === 0 ? 'middle' : 'small' })
  }
  return ticks
}

/** Bands as stretches between `from` and `to`, neighbours of one verdict joined. */
export function stripStretches(
  bands: Band[],
  from: number,
  to: number,
): { verdict: Band['verdict']; from: number; to: number }[] {
  return bands
    .map((band, index) => ({
      verdict: band.verdict,
      from: Math.max(from, fromMm(band.from_mm)),
      to: Math.min(to, index + 1 < bands.length ? fromMm((bands[index + 1] as Band).from_mm) : to),
    }))
    .filter((stretch) => stretch.to - stretch.from > 1)
}

function labelStep(figures: number[], units: Units): number {
  const span = Math.max(...figures) - Math.min(...figures)
  if (units === 'mm') return (span > 60 * NM_PER_MM ? 20 : 10) * NM_PER_MM
  return span > 3 * NM_PER_INCH ? NM_PER_INCH : span > 1.6 * NM_PER_INCH ? NM_PER_INCH / 2 : NM_PER_INCH / 4
}
