import { beforeEach, describe, expect, it, vi } from 'vitest'

type Sent = { events: { id: string; happened_at: string; kind: string }[] }
// The client takes hold of fetch as it is loaded, so the stand-in has to be there before.
const network = vi.hoisted(() => {
  const network = { sent: [] as unknown[], answer: () => Response.json({}) }
  globalThis.fetch = (async (request: Request) => {
    network.sent.push(await request.json())
    return network.answer()
  }) as typeof fetch
  return network
})
const { momentOf, useRecord } = await import('./useRecord')

beforeEach(() => {
  network.sent.length = 0
  document.cookie = 'XSRF-TOKEN=token'
})

const written = () => Response.json({}, { status: 201 })
const lost = (): Response => {
  throw new TypeError('Failed to fetch')
}
const sent = () => network.sent as Sent[]
const ids = () => sent().map(({ events }) => events.map(({ id }) => id))

describe('what a person did', () => {
  it('is sent again under the same ids after an answer that got lost, and under new ones when it is done again', async () => {
    const { record, refusal } = useRecord(1)
    const entries = [1, 2].map((row) => ({ kind: 'shims_moved' as const, row, pairs: -1 }))
    network.answer = lost
    expect(await record(entries, '2026-04-01')).toBe(false)
    expect(refusal.value?.message).toContain('The server does not answer')
    network.answer = written
    expect(await record(entries, '2026-04-01')).toBe(true)
    expect(refusal.value).toBeNull()
    await record(entries, '2026-04-01')

    const [first, second, third] = ids()
    expect(second).toEqual(first)
    expect(new Set([...(first ?? []), ...(third ?? [])]).size).toBe(4)
    expect(sent()[0]?.events[0]?.happened_at).toBe('2026-04-01T12:00:00.000Z')
  })

  it('gets other ids once it is said otherwise, and keeps the words of a refusal', async () => {
    const { record, refusal } = useRecord(1)
    network.answer = () =>
      Response.json({ message: 'no', errors: { 'events.0.pairs': ['Up to 10.'] } }, { status: 422 })
    await record([{ kind: 'shims_moved', row: 1, pairs: -11 }], '2026-04-01')
    expect(refusal.value?.errors).toEqual({ 'events.0.pairs': ['Up to 10.'] })
    network.answer = written
    await record([{ kind: 'shims_moved', row: 1, pairs: -1 }], '2026-04-01T08:00:00.000Z')
    expect(ids()[0]).not.toEqual(ids()[1])
    expect(sent()[1]?.events[0]?.happened_at).toBe('2026-04-01T08:00:00.000Z')
  })
})

it('takes today for now and another day for its noon', () => {
  const now = new Date('2026-11-23T09:30:00.000Z')
  expect(momentOf('2026-11-23', now)).toBe('2026-11-23T09:30:00.000Z')
  expect(momentOf('2026-11-20', now)).toBe('2026-11-20T12:00:00.000Z')
})
