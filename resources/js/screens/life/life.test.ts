import { describe, expect, it } from 'vitest'
import type { PlaceForecast, WearChart } from '@/api/types'
import { linesOf } from '@/screens/import/sendFile'
import { explainSeverity, groundOf } from '@/screens/acres/ground'
import { sayMedian, stepsOf } from '@/screens/parts/lives'
import { printChance, printLeft, readRows, standingOf, willNotLast } from './life'
import { momentOf } from './recordEvents'
import { describeWear, wearOption } from './wearOption'

function place(fields: Partial<PlaceForecast> = {}): PlaceForecast {
  return {
    row: 1,
    check: 'opener_blade_diameter',
    side: 'left',
    slot: 'opener_blade',
    fitting_id: null,
    size_mm: 374,
    use_m: 1000,
    left_m: { p10: 100, p50: 200, p90: 300 },
    left_acres: { p10: 10.4, p50: 20, p90: 1200 },
    chance: 0.1,
    due_on: null,
    thin: false,
    readings: 2,
    outliers: [],
    ...fields,
  }
}
const none = { p10: 0, p50: 0, p90: 0 }

describe('life left', () => {
  it.each([
    [undefined, 'unknown'],
    [place(), 'lasts'],
    [place({ chance: 0.21 }), 'watch'],
    [place({ chance: 0.51 }), 'unlikely'],
    [place({ left_m: none, chance: 1 }), 'done'],
    [place({ thin: true, chance: null }), 'thin'],
    [place({ chance: null }), 'lasts'],
    [place({ left_m: { p10: 5, p50: null, p90: null } }), 'lasts'],
  ])('stands %#', (one, standing) => expect(standingOf(one, 0.2)).toBe(standing))

  it('says chances and acres as people do', () => {
    expect([0.004, 0.205, 0.998].map(printChance)).toEqual(['under 1%', '21%', 'over 99%'])
    expect(printLeft(place().left_acres, false)).toBe('10 – 1,200 ac')
    expect(printLeft({ p10: 10, p50: 20, p90: null }, false)).toBe('10 – … ac')
    expect(printLeft({ p10: null, p50: 20.4, p90: null }, true)).toBe('about 20 ac')
    expect(printLeft(none, false)).toBe('none')
    expect(printLeft({ p10: null, p50: null, p90: null }, false)).toBe('not in sight')
  })

  it('lists what will not make the season, the worst first', () => {
    const rows = [
      place({ row: 1 }),
      place({ row: 2, chance: 0.3 }),
      place({ row: 3, left_m: none, chance: null }),
      place({ row: 4, chance: 0.9 }),
    ]
    expect(willNotLast(rows, 0.2).map(({ row }) => row)).toEqual([3, 4, 2])
  })

  it.each([
    ['3, 4, 9', [3, 4, 9]],
    ['1-3;16', [1, 2, 3, 16]],
    ['9 3 3', [3, 9]],
    ['17', null],
    ['4-2', null],
    ['all', null],
    ['', null],
  ])('reads the rows %s', (typed, rows) => expect(readRows(typed, 16)).toEqual(rows))

  it('takes today for now and another day for its noon', () => {
    const now = new Date('2026-11-23T09:30:00.000Z')
    expect(momentOf('2026-11-23', now)).toBe('2026-11-23T09:30:00.000Z')
    expect(momentOf('2026-11-20', now)).toBe('2026-11-20T12:00:00.000Z')
  })
})

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

describe('the wear chart', () => {
  const inks = { ink: '#1', quiet: '#2', line: '#3', accent: '#4', change: '#5', ochre: '#6', card: '#7' }

  it('counts acres from today and marks limit, today, season end and changes', () => {
    const option = wearOption(chart, inks, (mm) => `${mm}`, 'x') as {
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

  it('is told in words', () => {
    expect(describeWear(chart, (mm) => `${mm} mm`)).toBe(
      'Read: Mar 1, 2025 380 mm, Mar 1, 2026 370 mm. Limit 368.3 mm. Expected at the end of the line: 372 mm, from 371 mm to 373 mm.',
    )
  })
})

describe('lives of parts', () => {
  const distance = (metres: number) => `${metres} m`
  const curve = {
    part_type_id: 1,
    name: 'Tube',
    parts: 3,
    ended: 2,
    longest_m: 900,
    median_m: 300,
    median_low_m: 100,
    median_high_m: null,
    steps: [{ ran_m: 300, share: 0.5, low: 0.2, high: 0.8, at_risk: 2 }],
  }

  it('says the median with its interval, and that nothing has ended', () => {
    expect(sayMedian(curve, distance)).toBe('3 fitted, 2 worn out or failed; half of them reach 300 m (100 m to open).')
    expect(sayMedian({ ...curve, ended: 0 }, distance)).toContain('none has ended yet, the longest has run 900 m')
    expect(sayMedian({ ...curve, median_m: null }, distance)).toContain('more than half still ran')
  })

  it('steps from all running to as far as any got', () => {
    expect(stepsOf(curve).map(({ ran, share }) => [ran, share])).toEqual([
      [0, 1],
      [300, 0.5],
      [900, 0.5],
    ])
  })
})

describe('acres', () => {
  const factors = { soil: { sand: 1.3 }, residue: { heavy: 1.1, usual: 1 }, tillage: { no_till: 1.15 } }
  const line = {
    id: '',
    day: '',
    field: '',
    crop: null,
    acres: 1,
    mph: null,
    severity: 1.64,
    own_severity: false,
    logged_by: '',
  }

  it('words the ground and explains its severity', () => {
    const ground = { soil: 'sand', residue: 'heavy', tillage: 'no_till' } as const
    expect(
      groundOf({
        ...line,
        ...ground,
        shut_off: [
          { rows: [7, 8], share: 0 },
          { rows: [1], share: 0.25 },
        ],
      }),
    ).toBe('sand, heavy residue, no-till, severity 1.64, rows 7, 8 shut off, rows 1 ran 25%')
    expect(explainSeverity(ground, factors)).toBe(
      'sand 1.3 × heavy residue 1.1 × no-till 1.15. 1 is ground like any other; typical values.',
    )
    expect(explainSeverity({ soil: null, residue: null, tillage: null }, factors)).toContain('1: ground like any other')
  })
})

it('reads an answer line by line, wherever it is cut', async () => {
  const bytes = new TextEncoder().encode('{"lines":500,"share":0.5}\n{"refused":"Größe"}\n')
  const stream = new ReadableStream<Uint8Array>({
    start(controller) {
      for (let at = 0; at < bytes.length; at += 7) controller.enqueue(bytes.slice(at, at + 7))
      controller.close()
    },
  })
  const said = []
  for await (const one of linesOf(stream)) said.push(one)
  expect(said).toEqual([{ lines: 500, share: 0.5 }, { refused: 'Größe' }])
})
