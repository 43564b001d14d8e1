import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { useOutbox, type Waiting } from './outbox'
import { useSession } from './session'

// The client takes hold of fetch as it is loaded, so the stand-in has to be there before.
const network = vi.hoisted(() => {
  const network: { fetch: (request: Request | string) => Promise<Response> } = {
    fetch: () => Promise.reject(new TypeError('no server')),
  }
  globalThis.fetch = ((request: Request | string) => network.fetch(request)) as typeof fetch
  return network
})

type Receipt = { index: number; outcome: string; message?: string }

const wren = { id: 1, name: 'Wren', workshop: 'Tollgate', units: 'in' as const, theme: 'light' as const }

function item(id: string, walk = 'w1'): Waiting {
  const reading = {
    id,
    row: 1,
    check: 'opener_blade_diameter' as const,
    side: 'left' as const,
    result: 'measured' as const,
    entry: 'typed' as const,
    typed: '14 3/4',
    units: 'in' as const,
    taken_at: '2026-03-01T09:00:00Z',
  }
  return { walk, planter: 1, reading }
}

/** A server that answers each batch in turn; `down` breaks the connection. */
function serve(...answers: (Receipt[] | 'down' | number)[]) {
  const batches: string[][] = []
  network.fetch = async (request) => {
    if (typeof request === 'string') return new Response('')
    const body = (await request.json()) as { readings: { id: string }[] }
    batches.push(body.readings.map((reading) => reading.id))
    const answer = answers.shift() ?? 'down'
    if (answer === 'down') throw new TypeError('Failed to fetch')
    if (typeof answer === 'number') return Response.json({ message: `no ${answer}` }, { status: answer })
    return Response.json({ receipts: answer, ribbon: [], cells: [], row_doubts: {} })
  }
  return batches
}

const stored = (...indexes: number[]) => indexes.map((index) => ({ index, outcome: 'stored' }))

describe('the outbox', () => {
  beforeEach(() => {
    vi.useFakeTimers()
    localStorage.clear()
    setActivePinia(createPinia())
    useSession().me = wren
  })
  afterEach(() => {
    vi.useRealTimers()
  })

  it('keeps readings while the server is away and sends them in order once it is back', async () => {
    const batches = serve('down', 'down', stored(0, 1))
    const outbox = useOutbox()
    outbox.add(item('a'))
    outbox.add(item('b'))
    await vi.advanceTimersByTimeAsync(100)
    expect(outbox.waiting).toHaveLength(2)
    await vi.advanceTimersByTimeAsync(10_000)
    expect(batches).toEqual([['a'], ['a', 'b'], ['a', 'b']])
    expect(outbox.waiting).toEqual([])
  })

  it('keeps what the server will not take until somebody has decided, and lets the rest through', async () => {
    serve(
      stored(0),
      [
        { index: 0, outcome: 'doubtful' },
        { index: 1, outcome: 'stored' },
      ],
      stored(0),
    )
    const outbox = useOutbox()
    outbox.add(item('first'))
    outbox.add(item('odd'))
    outbox.add(item('next'))
    await vi.advanceTimersByTimeAsync(100)
    expect(outbox.problems.map((problem) => problem.reading.id)).toEqual(['odd'])
    expect(outbox.waiting).toHaveLength(1)
    outbox.sendAgain('odd', true)
    expect(outbox.waiting[0]?.reading.confirmed).toBe(true)
    await vi.advanceTimersByTimeAsync(100)
    expect(outbox.waiting).toEqual([])
  })

  it('asks to sign in where the session has ended, and never sends under another name', async () => {
    const batches = serve(401)
    const session = useSession()
    const outbox = useOutbox()
    outbox.add(item('mine'))
    await vi.advanceTimersByTimeAsync(100)
    expect(session.lapsed).toBe(true)
    expect(batches).toHaveLength(1)

    session.me = { ...wren, id: 2, name: 'Idris' }
    session.lapsed = false
    await outbox.send()
    expect(outbox.waiting).toEqual([])
    expect(batches).toHaveLength(1)

    session.me = wren
    expect(outbox.waiting.map((waiting) => waiting.reading.id)).toEqual(['mine'])
  })

  it('does not try for ever what is refused outright', async () => {
    const batches = serve(404)
    const outbox = useOutbox()
    outbox.add(item('lost'))
    await vi.advanceTimersByTimeAsync(60_000)
    expect(batches).toHaveLength(1)
    expect(outbox.problems[0]?.problem?.message).toBe('no 404')
    outbox.discard('lost')
    expect(outbox.waiting).toEqual([])
  })
})
