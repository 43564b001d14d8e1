import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import type { ImportNow } from '@/api/types'

const server = vi.hoisted(() => ({ asked: [] as [string, unknown][], answers: [] as unknown[] }))
vi.mock('@/api/client', async (original) => {
  const { Refusal, ...rest } = await original<typeof import('@/api/client')>()
  const ask = (address: string, init: unknown) => {
    server.asked.push([address, init])
    const answer = server.answers.shift()
    if (answer === undefined) return Promise.reject(new TypeError('no signal'))
    if (typeof answer === 'number') return Promise.reject(new Refusal(answer, 'Not now.'))
    return Promise.resolve({ data: answer })
  }
  return { ...rest, Refusal, api: { GET: ask, POST: ask } }
})
const { cancel, follow, sendFile } = await import('./imports')

const now = (fields: Partial<ImportNow['import']> = {}, more: Partial<ImportNow> = {}): ImportNow => ({
  import: {
    id: 7,
    kind: 'acres',
    mode: 'good',
    state: 'waiting',
    file_name: 'fields.csv',
    kept: 0,
    left_out: 0,
    imported_at: '2026-04-28T12:00:00Z',
    imported_by: 'Wren Ellery',
    ...fields,
  },
  progress: null,
  result: null,
  refused: null,
  ...more,
})

beforeEach(() => {
  vi.useFakeTimers()
  server.asked.length = server.answers.length = 0
})
afterEach(() => vi.useRealTimers())

describe('a file on its way', () => {
  const file = new File(['Date,Field'], 'fields.csv')
  const wish = { file, kind: 'acres', mode: 'good', mapping: null, leaveOut: [3] } as const

  it('goes up with what is to become of it', async () => {
    server.answers.push(now())
    expect((await sendFile(1, { ...wish, leaveOut: [3] })).import.id).toBe(7)
    const [[address, sent]] = server.asked as [[string, { body: FormData }]]
    expect(address).toBe('/api/planters/{planter}/imports')
    expect(Object.fromEntries(sent.body)).toEqual({ file, kind: 'acres', mode: 'good', leave_out: '[3]' })
  })

  it('says that nothing was imported where it did not go up, and why the server would not have it', async () => {
    await expect(sendFile(1, { ...wish, leaveOut: [] })).rejects.toThrow('Nothing was imported')
    server.answers.push(422)
    await expect(sendFile(1, { ...wish, leaveOut: [] })).rejects.toThrow('Not now.')
  })

  it('is looked after until it is over, past a server that was away for a while', async () => {
    server.answers.push(
      now({ state: 'taking' }, { progress: { lines: 2000, share: 0.2 } }),
      503,
      now({ state: 'done', kept: 10_000 }),
    )
    const told: (number | undefined)[] = []
    const over = follow(
      1,
      now(),
      ({ progress }) => told.push(progress?.lines),
      () => true,
    )
    await vi.runAllTimersAsync()
    expect((await over).import.kept).toBe(10_000)
    expect(told).toEqual([undefined, 2000, 2000])
  })

  it('goes on by itself where the server is away for long, and nobody asks where nobody looks', async () => {
    const over = follow(
      1,
      now(),
      () => {},
      () => true,
    )
    const said = expect(over).rejects.toThrow('The import continues there')
    await vi.runAllTimersAsync()
    await said
    server.asked.length = 0
    await follow(
      1,
      now(),
      () => {},
      () => false,
    )
    expect(server.asked).toHaveLength(0)
  })

  it('is stopped by its number', async () => {
    server.answers.push(now({ state: 'cancelled' }))
    expect((await cancel(1, now().import)).import.state).toBe('cancelled')
    expect(server.asked[0]?.[1]).toEqual({ params: { path: { planter: 1, import: 7 } } })
  })
})
