import type { WearChart } from '@/api/types'
import { fullDate } from '@/dates'
import type { Units } from '@/measure/length'

const STEPS_MM: Record<Units, number[]> = {
  in: [1 / 64, 1 / 32, 1 / 16, 1 / 8, 1 / 4, 1 / 2, 1].map((inches) => 25.4 * inches),
  mm: [0.5, 1, 2, 5, 10, 20, 50],
}

/** An axis of sizes, in mm, that holds all of them, with its ticks at whole fractions or millimetres. */
export function sizeAxis(sizes: number[], units: Units): { min: number; max: number; interval: number } {
  const [low, high] = [Math.min(...sizes), Math.max(...sizes)]
  const room = 0.05 * (high - low)
  const interval = STEPS_MM[units].find((step) => high - low <= 6 * step) ?? high - low
  return {
    min: Math.floor((low - room) / interval) * interval,
    max: Math.ceil((high + room) / interval) * interval,
    interval,
  }
}

/** Round acres to mark an axis at, in `most` steps or fewer. */
export function acresAxis(low: number, high: number, most = 7): number[] {
  const step = [1, 2, 5].flatMap((of) => [1, 10, 100, 1000, 10_000].map((by) => of * by)).sort((a, b) => a - b)
  const interval = step.find((one) => high - low <= most * one) ?? high - low
  const first = Math.ceil(low / interval)
  return Array.from(
    { length: Math.max(0, Math.floor(high / interval) - first + 1) },
    (_, at) => (first + at) * interval,
  )
}

/** Room about the drawing for its axes, in pixels. */
const ROOM = { left: 84, right: 24, top: 16, bottom: 48 }

/** What the acres of a mark take up. */
const LABEL = 60

/** Where everything stands on a drawing of `width` by `height` pixels: sizes over acres of the planter, counted from now. */
export function wearPlot(
  chart: WearChart,
  width: number,
  height: number,
  units: Units,
  dayOf: (moment: string) => string,
) {
  const acres = (metres: number) => (metres - chart.now_m) / chart.metres_per_acre
  const across = [
    ...chart.points.map(({ at_m }) => at_m),
    ...chart.line.map(({ at_m }) => at_m),
    ...chart.changes.map(({ at_m }) => at_m),
    ...(chart.season_end_m === null ? [] : [chart.season_end_m]),
    chart.now_m,
  ].map(acres)
  const [least, most] = [Math.min(...across), Math.max(...across)]
  const sizes = sizeAxis(
    [...chart.points.map(({ size_mm }) => size_mm), chart.limit_mm, ...(chart.new_mm === null ? [] : [chart.new_mm])],
    units,
  )
  const right = Math.max(ROOM.left + 1, width - ROOM.right)
  const bottom = Math.max(ROOM.top + 1, height - ROOM.bottom)
  const x = (of: number) => ROOM.left + ((of - least) / (most - least || 1)) * (right - ROOM.left)
  const y = (mm: number) => bottom - ((mm - sizes.min) / (sizes.max - sizes.min || 1)) * (bottom - ROOM.top)
  const path = (line: [number, number][]) =>
    line.map(([at, of]) => `${x(acres(at)).toFixed(1)},${y(of).toFixed(1)}`).join(' ')
  const mark = (at: number, name: string, kind: 'today' | 'season-end' | 'changed') => {
    const line = x(acres(at))
    // Its name stands before its line, or behind it where the sizes stand.
    // Where the readings do not begin a name is clear of them: a blade starts at the top, a play at the bottom. Changes stand across.
    const isTop = chart.shrinks !== (kind === 'changed')
    return { x: line, at: line + (line < ROOM.left + 20 ? 14 : -5), isTop, name, kind }
  }

  return {
    left: ROOM.left,
    right,
    top: ROOM.top,
    bottom,
    limit: y(chart.limit_mm),
    band: path([
      ...chart.line.map((of): [number, number] => [of.at_m, of.low_mm]),
      ...chart.line.map((of): [number, number] => [of.at_m, of.high_mm]).reverse(),
    ]),
    line: path(chart.line.map((of) => [of.at_m, of.size_mm])),
    points: chart.points.map((of) => ({
      x: x(acres(of.at_m)),
      y: y(of.size_mm),
      mm: of.size_mm,
      on: fullDate(dayOf(of.taken_at)),
      kind: of.outlier ? ('outlier' as const) : of.current ? ('current' as const) : ('gone' as const),
    })),
    marks: [
      mark(chart.now_m, 'today', 'today'),
      ...(chart.season_end_m === null ? [] : [mark(chart.season_end_m, 'season end', 'season-end')]),
      ...chart.changes.map(({ at_m, on }) => mark(at_m, `changed ${fullDate(on)}`, 'changed')),
    ],
    acres: acresAxis(least, most, Math.max(1, Math.min(7, Math.floor((right - ROOM.left) / LABEL)))).map((of) => ({
      x: x(of),
      acres: of,
    })),
    sizes: Array.from({ length: Math.round((sizes.max - sizes.min) / sizes.interval) + 1 }, (_, at) => {
      const mm = sizes.min + at * sizes.interval
      return { y: y(mm), mm }
    }),
  }
}

/** The chart in words, for who does not see it. */
export function describeWear(
  chart: WearChart,
  size: (mm: number) => string,
  dayOf: (moment: string) => string,
): string {
  const read = chart.points.map((point) => `${fullDate(dayOf(point.taken_at))} ${size(point.size_mm)}`).join(', ')
  const last = chart.line[chart.line.length - 1]
  const ahead = last
    ? ` Expected at the end: ${size(last.size_mm)}, from ${size(last.low_mm)} to ${size(last.high_mm)}.`
    : ''
  return `Read: ${read || 'nothing yet'}. Limit ${size(chart.limit_mm)}.${ahead}`
}
