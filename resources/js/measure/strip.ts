import type { Band, Unit } from '@/api/types'
import { NM_PER_INCH, NM_PER_MM, printFigure, type Units } from './length'
import { displayFactor, toSteps } from './quantity'

export type Tick = { at: number; size: 'small' | 'middle' | 'large'; label?: string }

/** What a strip is divided by. All in the scale's own steps. */
export type Scale = {
  of: (value: number) => number
  margin: number
  small: number
  middle: number
  /** How far the labels stand apart, by what there is to show. */
  labelStep: (span: number) => number
  label: (at: number) => string
}

/** A machinist's rule for lengths; a plain scale in the person's own unit for the rest. */
export function scaleFor(unit: Unit, units: Units): Scale {
  if (unit !== 'mm') return plainScale(unit, units)
  const inch = units === 'in'
  return {
    of: (value) => toSteps(value, 'mm'),
    margin: inch ? NM_PER_INCH / 8 : 3 * NM_PER_MM,
    small: inch ? NM_PER_INCH / 16 : NM_PER_MM,
    middle: inch ? NM_PER_INCH / 8 : 5 * NM_PER_MM,
    labelStep: (span) => {
      if (!inch) return (span > 60 * NM_PER_MM ? 20 : 10) * NM_PER_MM
      return span > 3 * NM_PER_INCH ? NM_PER_INCH : span > 1.6 * NM_PER_INCH ? NM_PER_INCH / 2 : NM_PER_INCH / 4
    },
    label: (at) => printFigure(at, units),
  }
}

function plainScale(unit: Unit, units: Units): Scale {
  const factor = displayFactor(unit, units)
  return {
    of: (value) => Math.round((value / factor) * 1000),
    margin: units === 'mm' && unit === 'psi' ? 200 : 1000,
    small: units === 'mm' && unit === 'psi' ? 100 : 1000,
    middle: units === 'mm' && unit === 'psi' ? 500 : 5000,
    // 1, 2 or 5 of a power of ten, so that there are some six labels.
    labelStep: (span) => {
      const rough = Math.max(1000, span / 6)
      const power = 10 ** Math.floor(Math.log10(rough))
      return ([1, 2, 5, 10].find((times) => times * power >= rough) ?? 10) * power
    },
    label: (at) => String(at / 1000),
  }
}

/** Where a strip begins and ends: all the figures on it with a margin, at whole label ticks. */
export function stripRange(figures: number[], scale: Scale): { from: number; to: number } {
  const step = scale.labelStep(Math.max(...figures) - Math.min(...figures))
  const lowest = Math.min(...figures)
  const low = lowest >= 0 ? Math.max(0, lowest - scale.margin) : lowest - scale.margin
  const high = Math.max(...figures) + scale.margin
  return { from: Math.floor(low / step) * step, to: Math.ceil(high / step) * step }
}

/** The ticks between two ends, the finest left out where they would stand closer than five pixels. */
export function stripTicks(from: number, to: number, scale: Scale, width: number): Tick[] {
  const label = scale.labelStep(to - from)
  const finest = ((to - from) / scale.small) * 5 > width ? label / 4 : scale.small
  const ticks: Tick[] = []
  for (let at = from; at <= to; at += finest) {
    if (at % label === 0) ticks.push({ at, size: 'large', label: scale.label(at) })
    else ticks.push({ at, size: at % scale.middle === 0 ? 'middle' : 'small' })
  }
  return ticks
}

/** Bands as stretches between `from` and `to`. */
export function stripStretches(
  bands: Band[],
  from: number,
  to: number,
  scale: Scale,
): { verdict: Band['verdict']; from: number; to: number }[] {
  return bands
    .map((band, index) => ({
      verdict: band.verdict,
      from: Math.max(from, scale.of(band.from)),
      to: Math.min(to, index + 1 < bands.length ? scale.of((bands[index + 1] as Band).from) : to),
    }))
    .filter((stretch) => stretch.to - stretch.from > 1)
}
