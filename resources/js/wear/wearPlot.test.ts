import { describe, expect, it } from 'vitest'
import type { WearChart } from '@/api/types'
import { acresAxis, describeWear, sizeAxis, wearPlot } from './wearPlot'

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
  // 300 pixels of drawing from -50 to 40 acres, 236 of height from 14 1/2 in less a sixteenth to 15 in and as much more.
  const plot = wearPlot(chart, 84 + 300 + 24, 16 + 236 + 48, 'in', utcDay)

  it('counts acres from today and marks today, season end and changes', () => {
    const at = (acres: number) => 84 + ((acres + 50) / 90) * 300
    expect(plot.marks.map(({ name, x }) => [name, Math.round(x)])).toEqual([
      ['today', Math.round(at(0))],
      ['season end', Math.round(at(40))],
      ['changed Mar 1, 2024', Math.round(at(-50))],
    ])
    expect(plot.acres.map(({ acres }) => acres)).toEqual([-40, -20, 0, 20, 40])
    expect(plot.points.map(({ x, kind, on }) => [Math.round(x), kind, on])).toEqual([
      [Math.round(at(-40)), 'current', 'Mar 1, 2025'],
      [Math.round(at(0)), 'outlier', 'Mar 1, 2026'],
    ])
  })

  it('draws what is smaller lower, the limit where it is, and the band about the line', () => {
    const [low, high] = [plot.sizes[0], plot.sizes.at(-1)]
    expect([low?.y, high?.y].map((at) => Math.round(at ?? 0))).toEqual([252, 16])
    const y = (mm: number) => 252 - ((mm - (low?.mm ?? 0)) / ((high?.mm ?? 1) - (low?.mm ?? 0))) * 236
    expect(plot.limit).toBeCloseTo(y(368.3), 6)
    expect(plot.points[0]?.y).toBeCloseTo(y(380), 6)
    const corners = plot.band.split(' ').map((corner) => corner.split(',').map(Number))
    expect(corners.map(([, at]) => at)).toEqual([381, 371, 373, 381].map((mm) => Number(y(mm).toFixed(1))))
    expect(plot.line.split(' ')[1]).toBe(`384.0,${y(372).toFixed(1)}`)
  })

  it('names a mark behind its line where the sizes stand, and before it elsewhere', () => {
    expect(plot.marks.map(({ x, at }) => Math.sign(at - x))).toEqual([-1, -1, 1])
  })

  it('marks fewer acres where there is less room', () => {
    const narrow = wearPlot(chart, 84 + 130 + 24, 300, 'in', utcDay)
    expect(narrow.acres.map(({ acres }) => acres)).toEqual([-50, 0])
  })

  it('names marks where the readings do not begin', () => {
    const tops = (shrinks: boolean) =>
      wearPlot({ ...chart, shrinks }, 640, 340, 'in', utcDay).marks.map(({ name, isTop }) => [
        name.split(' ')[0],
        isTop,
      ])
    expect(tops(true)).toEqual([
      ['today', true],
      ['season', true],
      ['changed', false],
    ])
    expect(tops(false).map(([, isTop]) => isTop)).toEqual([false, false, true])
  })

  it.each([
    [-50, 40, [-40, -20, 0, 20, 40]],
    [0, 0.5, [0]],
    [-3000, 900, [-3000, -2000, -1000, 0]],
  ])('marks acres from %d to %d at round ones', (low, high, at) => expect(acresAxis(low, high)).toEqual(at))

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
      'Read: Mar 1, 2025 380 mm, Mar 1, 2026 370 mm. Limit 368.3 mm. Expected at the end: 372 mm, from 371 mm to 373 mm.',
    )
  })
})
