import { describe, expect, it } from 'vitest'
import type { WorkPiece } from '@/api/types'
import { closedBy, closedByOthers, nextLine, runningMinutes, sharedOut, ticksOf } from './hands'

const piece = {
  row: 3,
  jobs: [{ key: 'change:3:gauge_tyre:left' }],
  since: '2026-04-06T07:00:00.000Z',
  lines: [
    { key: 'off:3:lock:centre', before: [] },
    { key: 'off:3:gauge_wheel:left', before: ['off:3:lock:centre'] },
    { key: 'change:3:gauge_tyre:left', before: ['off:3:lock:centre', 'off:3:gauge_wheel:left'] },
  ],
} as unknown as WorkPiece
const tick = (target: string, recorded_at: string) => ({
  id: target,
  target,
  by: 'Idris',
  happened_at: recorded_at,
  recorded_at,
})
const waits = (...events: object[]) => [{ body: { events: events as never, ledger: [] } }]
const at = '2026-04-06T08:00:00.000Z'

describe('what is ticked on a card', () => {
  it('is what the server has of this work, with what waits here put on top', () => {
    const hands = {
      ticks: [tick('off:3:lock:centre', at), tick('off:3:gauge_wheel:left', '2026-04-06T06:59:59.000Z')],
      done: [],
    }
    const known = ticksOf(piece, hands, [], 'Wren')
    expect([...known.keys()]).toEqual(['off:3:lock:centre'])
    expect(nextLine(piece, known)).toBe('off:3:gauge_wheel:left')
    const more = waits({ id: 'a', kind: 'ticked', targets: ['off:3:gauge_wheel:left'], happened_at: at })
    const both = ticksOf(piece, hands, more, 'Wren')
    expect(both.get('off:3:gauge_wheel:left')).toEqual({ id: 'a', by: 'Wren', at, waits: true })
    expect(nextLine(piece, both)).toBe('change:3:gauge_tyre:left')
  })

  it('is taken back on the device before the server knows', () => {
    const hands = { ticks: [tick('off:3:lock:centre', at)], done: [] }
    const back = waits({ id: 'b', kind: 'ticked', supersedes: 'off:3:lock:centre', withdrawn: true, happened_at: at })
    expect(ticksOf(piece, hands, back, 'Wren').size).toBe(0)
  })
})

it('knows what is finished and has not gone up', () => {
  expect([...closedBy(waits({ kind: 'finished', targets: ['x'] }, { kind: 'ticked', targets: ['y'] }))]).toEqual(['x'])
})

it('times a card from its first tick', () => {
  expect(runningMinutes([], 0)).toBeNull()
  const ticks = [{ id: 'a', by: '', at, waits: false }]
  expect(runningMinutes(ticks, Date.parse(at) + 10_000)).toBe(1)
  expect(runningMinutes(ticks, Date.parse(at) + 25 * 60_000)).toBe(25)
})

it('shares minutes out by what was planned, none lost', () => {
  expect(sharedOut(30, [{ minutes: 10 }, { minutes: 20 }, { minutes: 30 }])).toEqual([5, 10, 15])
  expect(sharedOut(7, [{ minutes: 3 }, { minutes: 3 }, { minutes: 3 }]).reduce((sum, of) => sum + of, 0)).toBe(7)
})

it('gives what a seized joint took to the piece whose joint it was', () => {
  expect(sharedOut(46, [{ minutes: 3 }, { minutes: 3 }], 40)).toEqual([43, 3])
})

it('counts as closed by others what was done since it was decided, and not what was done the time before', () => {
  const job = { key: 'grease:0:hitch:centre', since: '2026-04-06T08:00:00.000Z' }
  const done = (recorded_at: string) => ({ ticks: [], done: [{ targets: [job.key], recorded_at }] }) as never
  const cards = [{ jobs: [job] }] as unknown as WorkPiece[]
  expect(closedByOthers(cards, done('2026-04-06T08:00:00.000Z'))).toEqual([])
  expect(closedByOthers(cards, done('2026-04-06T08:00:00.001Z'))).toEqual([job.key])
  expect(closedByOthers(cards, undefined)).toEqual([])
})
