import { describe, expect, it } from 'vitest'
import type { WearChart } from '@/api/types'
import { describeWear, sizeAxis, wearOption } from './wearOption'

const chart: WearChart = {
  check: 'opener_blade_diameter',
  shrinks: true,
  limit_mm: 368.3,
  new_mm: 381,
  metres_per_acre: 100,
  now_m: 5000,
  season_end_m: 9000,
  points: [
    { at_m: 1000, size_mm: 380, taken_at: '2025-03-01T12:00:00.000Z', current: true, outlier: false },
    { at_m: 5000, size_mm: 370, taken_at: '2026-03-01T12:00:00.000Z', current: true, outlier: true },
  ],
  changes: [{ at_m: 0, on: '2024-03-01' }],
  line: [
    { at_m: 0, size_mm: 381, low_mm: 381, high_mm: 381 },
    { at_m: 9000, size_mm: 372, low_mm: 371, high_mm: 373 },
  ],
  thin: false,
}

const utcDay = (moment: string) => moment.slice(0, 10)

describe('the wear chart', () => {
  const inks = { ink: '#1', quiet: '#2', line: '#3', accent: '#4', change: '#5', ochre: '#6', card: '#7' }

  it('counts acres from today and marks limit, today, season end and changes', () => {
    const option = wearOption(chart, inks, (mm) => `${mm}`, utcDay, 'in', 'x') as {
      series: {
        data: unknown[]
        markLine?: { data: { xAxis?: number; yAxis?: number; label: { formatter: string } }[] }
      }[]
    }
    const [low, reach, fit, points] = option.series
    expect(low?.data).toEqual([
      [-50, 381],
      [40, 371],
    ])
    expect(reach?.data).toEqual([
      [-50, 0],
      [40, 2],
    ])
    expect(fit?.data).toEqual([
      [-50, 381],
      [40, 372],
    ])
    expect(points?.data).toMatchObject([
      { value: [-40, 380], itemStyle: { color: '#4' } },
      { value: [0, 370], itemStyle: { borderColor: '#5' } },
    ])
    expect(points?.markLine?.data.map(({ xAxis, yAxis, label }) => [xAxis ?? yAxis, label.formatter])).toEqual([
      [368.3, 'limit'],
      [0, 'today'],
      [40, 'season end'],
      [-50, 'changed Mar 1, 2024'],
    ])
  })

  it.each([
    // Blade from 15 in down to 14 1/2: ticks by the eighth.
    { sizes: [381, 368.3, 374], units: 'in', min: 14.375, max: 15.125, interval: 0.125, mm: 25.4 },
    { sizes: [381, 368.3], units: 'mm', min: 365, max: 385, interval: 5, mm: 1 },
    // Guard from 7/8 in down to 3/4: by the thirty-second.
    { sizes: [22.225, 19.05], units: 'in', min: 0.71875, max: 0.90625, interval: 0.03125, mm: 25.4 },
  ] as const)('has its ticks where a rule has them: $sizes $units', ({ sizes, units, min, max, interval, mm }) => {
    const axis = sizeAxis([...sizes], units)
    expect(axis.min).toBeCloseTo(min * mm, 6)
    expect(axis.max).toBeCloseTo(max * mm, 6)
    expect(axis.interval).toBeCloseTo(interval * mm, 6)
  })

  it('is told in words', () => {
    expect(describeWear(chart, (mm) => `${mm} mm`, utcDay)).toBe(
      'Read: Mar 1, 2025 380 mm, Mar 1, 2026 370 mm. Limit 368.3 mm. Expected at the end of the line: 372 mm, from 371 mm to 373 mm.',
    )
  })
})
