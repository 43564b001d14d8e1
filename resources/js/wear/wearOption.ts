import type { EChartsCoreOption } from 'echarts/core'
import type { WearChart } from '@/api/types'
import { shortDate } from '@/dates'
import type { Units } from '@/measure/length'

export type Inks = Record<'ink' | 'quiet' | 'line' | 'accent' | 'change' | 'ochre' | 'card', string>

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

/** What the chart is drawn by: sizes over acres of the planter, counted from now. */
export function wearOption(
  chart: WearChart,
  inks: Inks,
  size: (mm: number) => string,
  dayOf: (moment: string) => string,
  units: Units,
  font: string,
): EChartsCoreOption {
  const acres = (metres: number) => (metres - chart.now_m) / chart.metres_per_acre
  // Where the readings do not begin: a blade starts at the top, a play at the bottom.
  const [clear, taken] = chart.shrinks
    ? (['insideEndTop', 'insideStartTop'] as const)
    : (['insideStartTop', 'insideEndTop'] as const)
  const mark = (at: number, name: string, color: string, position: typeof clear | typeof taken) => ({
    xAxis: acres(at),
    lineStyle: { color, type: 'dashed' as const, width: 1.5 },
    // Along its line: side by side, the names of two near lines would cover each other.
    label: { formatter: name, color, fontFamily: font, position, backgroundColor: inks.card },
  })
  const point = (item: WearChart['points'][number]) => ({
    value: [acres(item.at_m), item.size_mm],
    name: shortDate(dayOf(item.taken_at)),
    itemStyle: item.outlier
      ? { color: inks.card, borderColor: inks.change, borderWidth: 2 }
      : { color: item.current ? inks.accent : inks.quiet },
  })
  const band = chart.line.map((at) => [acres(at.at_m), at.low_mm, at.high_mm] as const)
  const shown = [
    ...chart.points.map(({ size_mm }) => size_mm),
    chart.limit_mm,
    ...(chart.new_mm === null ? [] : [chart.new_mm]),
  ]

  return {
    animation: false,
    textStyle: { fontFamily: font, color: inks.ink },
    grid: { left: 84, right: 24, top: 16, bottom: 48 },
    tooltip: {
      trigger: 'item',
      formatter: ({ name, value }: { name: string; value: number[] }) => `${name}: ${size(value[1] ?? 0)}`,
    },
    xAxis: {
      type: 'value',
      name: 'acres of this planter, from now',
      nameLocation: 'middle',
      nameGap: 30,
      nameTextStyle: { color: inks.quiet },
      axisLabel: { color: inks.quiet, hideOverlap: true },
      axisLine: { lineStyle: { color: inks.line } },
      splitLine: { show: false },
    },
    yAxis: {
      type: 'value',
      ...sizeAxis(shown, units),
      axisLabel: { color: inks.quiet, formatter: size },
      splitLine: { lineStyle: { color: inks.line } },
    },
    series: [
      {
        type: 'line',
        stack: 'band',
        symbol: 'none',
        silent: true,
        lineStyle: { opacity: 0 },
        data: band.map(([at, low]) => [at, low]),
      },
      {
        type: 'line',
        stack: 'band',
        stackStrategy: 'all',
        symbol: 'none',
        silent: true,
        lineStyle: { opacity: 0 },
        areaStyle: { color: inks.accent, opacity: 0.16 },
        data: band.map(([at, low, high]) => [at, high - low]),
      },
      {
        type: 'line',
        symbol: 'none',
        silent: true,
        lineStyle: { color: inks.accent, width: 2 },
        data: chart.line.map((at) => [acres(at.at_m), at.size_mm]),
      },
      {
        type: 'scatter',
        symbolSize: 12,
        data: chart.points.map(point),
        markLine: {
          symbol: 'none',
          silent: true,
          data: [
            {
              yAxis: chart.limit_mm,
              lineStyle: { color: inks.change, type: 'solid' as const, width: 2 },
              label: { formatter: 'limit', color: inks.change, position: 'insideEndTop' as const },
            },
            mark(chart.now_m, 'today', inks.ink, clear),
            ...(chart.season_end_m === null ? [] : [mark(chart.season_end_m, 'season end', inks.ochre, clear)]),
            ...chart.changes.map(({ at_m, on }) => mark(at_m, `changed ${shortDate(on)}`, inks.quiet, taken)),
          ],
        },
      },
    ],
  }
}

/** The chart in words, for who does not see it. */
export function describeWear(
  chart: WearChart,
  size: (mm: number) => string,
  dayOf: (moment: string) => string,
): string {
  const read = chart.points.map((point) => `${shortDate(dayOf(point.taken_at))} ${size(point.size_mm)}`).join(', ')
  const last = chart.line[chart.line.length - 1]
  const ahead = last
    ? ` Expected at the end of the line: ${size(last.size_mm)}, from ${size(last.low_mm)} to ${size(last.high_mm)}.`
    : ''
  return `Read: ${read || 'nothing yet'}. Limit ${size(chart.limit_mm)}.${ahead}`
}
