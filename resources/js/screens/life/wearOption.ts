import type { EChartsCoreOption } from 'echarts/core'
import type { WearChart } from '@/api/types'
import { shortDate } from '@/dates'

export type Inks = Record<'ink' | 'quiet' | 'line' | 'accent' | 'change' | 'ochre' | 'card', string>

/** What the chart is drawn by: sizes over acres of the planter, counted from now. */
export function wearOption(
  chart: WearChart,
  inks: Inks,
  size: (mm: number) => string,
  font: string,
): EChartsCoreOption {
  const acres = (metres: number) => (metres - chart.now_m) / chart.metres_per_acre
  const mark = (at: number, name: string, color: string) => ({
    xAxis: acres(at),
    lineStyle: { color, type: 'dashed' as const, width: 1.5 },
    label: { formatter: name, color, fontFamily: font },
  })
  const point = (item: WearChart['points'][number]) => ({
    value: [acres(item.at_m), item.size_mm],
    name: shortDate(item.taken_at.slice(0, 10)),
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
  const room = 0.15 * (Math.max(...shown) - Math.min(...shown)) || 1

  return {
    animation: false,
    textStyle: { fontFamily: font, color: inks.ink },
    grid: { left: 84, right: 24, top: 34, bottom: 48 },
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
      axisLabel: { color: inks.quiet },
      axisLine: { lineStyle: { color: inks.line } },
      splitLine: { show: false },
    },
    yAxis: {
      type: 'value',
      min: Math.min(...shown) - room,
      max: Math.max(...shown) + room,
      axisLabel: { color: inks.quiet, formatter: (mm: number) => size(mm), showMinLabel: false, showMaxLabel: false },
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
              label: { formatter: 'limit', color: inks.change, position: 'insideStartTop' as const },
            },
            mark(chart.now_m, 'today', inks.ink),
            ...(chart.season_end_m === null ? [] : [mark(chart.season_end_m, 'season end', inks.ochre)]),
            ...chart.changes.map(({ at_m, on }) => mark(at_m, `changed ${shortDate(on)}`, inks.quiet)),
          ],
        },
      },
    ],
  }
}

/** The chart in words, for who does not see it. */
export function describeWear(chart: WearChart, size: (mm: number) => string): string {
  const read = chart.points
    .map((point) => `${shortDate(point.taken_at.slice(0, 10))} ${size(point.size_mm)}`)
    .join(', ')
  const last = chart.line[chart.line.length - 1]
  const ahead = last
    ? ` Expected at the end of the line: ${size(last.size_mm)}, from ${size(last.low_mm)} to ${size(last.high_mm)}.`
    : ''
  return `Read: ${read || 'nothing yet'}. Limit ${size(chart.limit_mm)}.${ahead}`
}
