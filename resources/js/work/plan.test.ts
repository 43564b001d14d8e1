import { describe, expect, it } from 'vitest'
import type { PlannedPiece, WorkPiece } from '@/api/types'
import { apart, arrivalsOf, daysOf, sayApart, sayInTime, sayJobs, sayMinutes, sayPiece } from './plan'

const plain = { key: '', title: null, since: '', again: [], ledger: [], why: null, to: null, by: null }
const minutes = (time: string) => 60 * Number(time.slice(3, 5)) + Number(time.slice(6))
const piece = (row: number, person: number, starts: string, ends: string, slot = 'opener_blade'): PlannedPiece => ({
  key: `1 change:${row}:${slot}:left`,
  planter: 1,
  row,
  person,
  with: [],
  starts: `2026-04-${starts}`,
  ends: `2026-04-${ends}`,
  hours: [{ day: `2026-04-${starts.slice(0, 2)}`, from: minutes(starts), to: minutes(ends) }],
  minutes: 20,
  slack: 0,
  latest: `2026-04-${starts}`,
  blocks: true,
  by_hand: false,
  too_early: false,
  parts: [],
  steps: [],
  lines: [],
  since: '',
  tools: [],
  looks: [],
  back: [],
  people: 1,
  walk: '',
  stations: [],
  jobs: [{ action: 'change', what: slot, side: 'left', ...plain }],
})

describe('days of a plan', () => {
  it('puts the same work of one person that follows on itself into one block', () => {
    const [day] = daysOf({
      pieces: [
        piece(3, 0, '06T08:00', '06T08:20'),
        piece(4, 1, '06T08:00', '06T08:20'),
        piece(5, 0, '06T08:20', '06T08:40'),
        piece(6, 0, '06T08:40', '06T09:00', 'scraper'),
        piece(7, 0, '06T10:00', '06T10:20', 'scraper'),
      ],
    })
    expect(day?.blocks.map(({ person, rows, from, to }) => [person, rows, from, to])).toEqual([
      [0, [3, 5], 480, 520],
      [1, [4], 480, 500],
      [0, [6], 520, 540],
      [0, [7], 600, 620],
    ])
    expect([day?.from, day?.to]).toEqual([480, 620])
  })

  it('draws what takes several days on each of them', () => {
    const hours = [
      { day: '2026-04-06', from: 940, to: 960 },
      { day: '2026-04-07', from: 480, to: 960 },
      { day: '2026-04-08', from: 480, to: 520 },
    ]
    const days = daysOf({ pieces: [{ ...piece(3, 0, '06T15:40', '08T08:40', 'scraper'), hours }] })
    expect(days.map(({ day, from, to }) => ({ day, from, to }))).toEqual(hours)
  })
})

it('says work, times and what is apart', () => {
  expect(sayJobs([])).toBe('Make the planter safe')
  expect(
    sayJobs([
      { action: 'change', what: 'opener_blade', side: 'left', ...plain },
      { action: 'change', what: 'opener_blade', side: 'right', ...plain },
      { action: 'adjust', what: 'closing_gap', side: 'centre', ...plain },
    ]),
  ).toBe('2 × opener blade, adjust: closing wheel gap')
  expect(sayPiece(piece(3, 0, '06T08:00', '06T08:20'))).toBe('Row 3, opener blade')
  expect([sayMinutes(45), sayMinutes(210), sayApart(-45), sayApart(300), sayApart(2900), sayApart(1500)]).toEqual([
    '45 min',
    '3.5 h',
    '45 min',
    '5 h',
    '2 days',
    '1 day',
  ])
  expect(apart('2026-04-09T12:00', '2026-04-10T11:30')).toBe(1410)
})

it('lists parts that are to come, each kind and day once', () => {
  const part = {
    slot: 'seed_tube' as const,
    side: 'centre' as const,
    part_type_id: 4,
    name: 'Tube',
    here: false,
    ordered: true,
  }
  const pieces: WorkPiece[] = [
    {
      ...piece(1, 0, '06T08:00', '06T08:20'),
      parts: [
        { ...part, on: '2026-04-12' },
        { ...part, here: true, on: null },
      ],
    },
    {
      ...piece(2, 0, '06T08:00', '06T08:20'),
      parts: [
        { ...part, on: '2026-04-12' },
        { ...part, on: '2026-04-09', ordered: false },
      ],
    },
  ]
  expect(arrivalsOf(pieces).map(({ on, count, ordered }) => [on, count, ordered])).toEqual([
    ['2026-04-09', 1, false],
    ['2026-04-12', 2, true],
  ])
})

it('says what would bring a late plan in time', () => {
  const tube = { people: 0, part: 3, name: 'Seed tube', days: 1 }
  expect(sayInTime({ in_time: [{ people: 2, part: null, name: '', days: 0 }, tube] })).toBe(
    'In time with 2 more people, or with Seed tube 1 day sooner.',
  )
  expect(sayInTime({ in_time: [] })).toContain('Plant later')
})
