import 'fake-indexeddb/auto'
import { createPinia, setActivePinia } from 'pinia'
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest'
import { keys, queries } from '@/api/queries'
import { guideOf, meForTest } from '@/testing'
import { useSession } from '../session'
import { reactive } from 'vue'
import { change, device, type Waiting } from './device'
import { putInto } from './kinds/start'
import { useOutbox } from './outbox'

// The client takes hold of fetch as it is loaded, so the stand-in has to be there before.
const network = vi.hoisted(() => {
  const network: { fetch: (request: Request | string) => Promise<Response> } = {
    fetch: () => Promise.reject(new TypeError('no server')),
  }
  globalThis.fetch = ((request: Request | string) => network.fetch(request)) as typeof fetch
  // Node has channels between tabs too; the stand-in for a browser does not hand them on.
  Object.assign(globalThis, { BroadcastChannel: process.getBuiltinModule('node:worker_threads').BroadcastChannel })
  return network
})

type Receipt = { index: number; outcome: string; message?: string }
type Answer = Receipt[] | 'down' | 'kept' | number

const wren = meForTest
const place = { row: 1, check: 'opener_blade_diameter', side: 'left' } as const
const at = '2026-03-01T09:00:00Z'
const guide = guideOf(2)
/** What the server tells of a walk besides its places. */
const state = {
  version: guide.version,
  revision: guide.revision,
  as_of: guide.as_of,
  ribbon: [],
  whole_planter: guide.whole_planter,
  row_doubts: {},
  row_bands: {},
  seconds_a_reading: null,
  notes: [],
  photos: [],
}

const reading = (id: string, walk = 'w1') => ({
  what: 'reading' as const,
  id,
  walk,
  planter: 1,
  body: { ...place, id, typed: '14 3/4', units: 'in' as const, taken_at: at },
})
const note = (id: string) => ({
  what: 'note' as const,
  id,
  walk: 'w1',
  planter: 1,
  body: { ...place, id, kind: 'note' as const, text: 'x', taken_at: at },
})
const start = (walk: string) => ({
  what: 'start' as const,
  id: walk,
  walk,
  planter: 1,
  body: { kind: 'pre_season' as const, order: 'row_by_row' as const, checks: null, started_at: at },
})

const fitting = (id: string, fields = {}) => ({
  what: 'ledger' as const,
  id: `piece ${id}`,
  planter: 1,
  body: {
    events: [{ id, kind: 'fitted' as const, row: 1, slot: 'opener_blade' as const, happened_at: at, ...fields }],
  },
})
const line = (id: string) => ({
  what: 'acres' as const,
  id,
  planter: 1,
  body: { id, day: '2026-03-01', line: '62.5 ac, Long Field' },
})

/** A server that answers in turn; `down` breaks the connection. What it was sent, by address and ids. */
function serve(...answers: Answer[]) {
  const sent: string[] = []
  network.fetch = async (request) => {
    if (typeof request === 'string') return new Response('')
    if (request.method === 'GET') return Response.json([])
    const body = (await request.json()) as { readings?: { id: string }[]; events?: { id: string }[]; id?: string }
    sent.push(
      `${request.url.split('/').pop()} ${(body.readings ?? body.events)?.map(({ id }) => id).join(' ') ?? body.id}`,
    )
    const answer = answers.shift() ?? 'down'
    if (answer === 'down') throw new TypeError('Failed to fetch')
    if (typeof answer === 'number') return Response.json({ message: `no ${answer}` }, { status: answer })
    const news = { ...state, cells: [] }
    return Response.json(answer === 'kept' ? news : { receipts: answer, news })
  }
  return sent
}

const stored = (...indexes: number[]) => indexes.map((index) => ({ index, outcome: 'stored' }))
const settled = (check: () => void | Promise<void>) => vi.waitFor(check, { timeout: 4_500, interval: 20 })

describe('the outbox', () => {
  beforeEach(async () => {
    const tables = await device()
    await Promise.all([tables.clear('waiting'), tables.clear('sealed')])
    queries.setQueryData(keys.guide(1), guideOf(2))
    setActivePinia(createPinia())
    useSession().me = wren
  })
  afterEach(() => {
    useSession().me = null
  })

  it('keeps readings while the server is away and sends them in order once it is back', async () => {
    const away = serve()
    const outbox = useOutbox()
    await outbox.add(reading('a'))
    await settled(() => expect(away).toContain('readings a'))
    await outbox.add(reading('b'))
    expect(outbox.waiting.map((item) => item.id)).toEqual(['a', 'b'])
    const back = serve(stored(0, 1))
    window.dispatchEvent(new Event('online'))
    await settled(() => expect(outbox.waiting).toEqual([]))
    expect(back).toEqual(['readings a b'])
    expect(await (await device()).count('waiting')).toBe(0)
  })

  it('finds what was left on the device when the browser starts again', async () => {
    serve()
    await useOutbox().add(reading('a'), note('n'))
    useSession().me = null
    setActivePinia(createPinia())
    const sent = serve(stored(0), 'kept')
    useSession().me = wren
    const outbox = useOutbox()
    await settled(() => expect(sent).toEqual(['readings a', 'notes n']))
    await settled(() => expect(outbox.waiting).toEqual([]))
  })

  it('sends everything in the order in which it was recorded, each kind by itself', async () => {
    const sent = serve('kept', stored(0, 1), 'kept', stored(0))
    const outbox = useOutbox()
    await outbox.add(start('w1'), reading('a'), reading('b'), note('n'), reading('c'))
    await settled(() => expect(outbox.waiting).toEqual([]))
    expect(sent).toEqual(['walks w1', 'readings a b', 'notes n', 'readings c'])
  })

  it('holds back what belongs to a walk that could not be started, and moves it on demand', async () => {
    const sent = serve(422, stored(0), stored(0))
    const outbox = useOutbox()
    await outbox.add(start('mine'), reading('a', 'mine'), reading('b', 'w1'))
    await settled(() => expect(outbox.waiting.map((item) => item.id)).toEqual(['mine', 'a']))
    expect(outbox.problems.map((item) => item.problem?.message)).toEqual(['no 422'])
    await outbox.rewrite(putInto(outbox.problems[0] as Waiting<'start'>, 'w1'))
    await settled(() => expect(outbox.waiting).toEqual([]))
    expect(sent).toEqual(['walks mine', 'readings b', 'readings a'])
  })

  it('keeps what the server will not take until somebody has decided, and lets the rest through', async () => {
    serve(
      [
        { index: 0, outcome: 'stored' },
        { index: 1, outcome: 'doubtful' },
        { index: 2, outcome: 'stored' },
      ],
      stored(0),
    )
    const outbox = useOutbox()
    await outbox.add(reading('first'), reading('odd'), reading('next'))
    await settled(() => expect(outbox.problems.map((item) => item.id)).toEqual(['odd']))
    expect(outbox.waiting).toHaveLength(1)
    await settled(async () => expect((await (await device()).getAll('waiting'))[0]?.problem?.outcome).toBe('doubtful'))
    await outbox.sendAgain('odd', true)
    await settled(() => expect(outbox.waiting).toEqual([]))
  })

  it('asks to sign in where the session has ended, and never sends under another name', async () => {
    const sent = serve(401)
    const session = useSession()
    const outbox = useOutbox()
    await outbox.add(reading('mine'))
    await settled(() => expect(session.lapsed).toBe(true))

    session.me = { ...wren, id: 2, name: 'Idris' }
    session.lapsed = false
    await settled(() => expect(outbox.ofOthers).toBe(1))
    await outbox.send()
    expect(outbox.waiting).toEqual([])
    expect(sent).toHaveLength(1)

    session.me = wren
    await settled(() => expect(outbox.waiting.map((item) => item.id)).toEqual(['mine']))
  })

  it('asks to sign in where another tab has sealed what waits, and does not look as if it had gone up', async () => {
    serve(503)
    const session = useSession()
    const outbox = useOutbox()
    await outbox.add(reading('mine'))
    await settled(async () => expect(await (await device()).count('waiting')).toBe(1))
    const [item] = await (await device()).getAll('waiting')
    await change(['waiting', 'sealed'], async (writing) => {
      await writing.objectStore('sealed').put({
        order: item?.order ?? 0,
        user: wren.id,
        nonce: new Uint8Array(12),
        data: new ArrayBuffer(1),
      })
      await writing.objectStore('waiting').clear()
    })
    new BroadcastChannel('ustrel-device').postMessage(null)
    await settled(() => expect(session.lapsed).toBe(true))
    expect(outbox.waiting.map(({ id }) => id)).toEqual(['mine'])
  })

  it('does not try for ever what is refused outright, and drops it only when told', async () => {
    const sent = serve(404)
    const outbox = useOutbox()
    await outbox.add(reading('lost'))
    await settled(() => expect(outbox.problems[0]?.problem?.message).toBe('no 404'))
    await outbox.send()
    expect(sent).toHaveLength(1)
    await outbox.discard('lost')
    await settled(() => expect(outbox.waiting).toEqual([]))
    expect(await (await device()).count('waiting')).toBe(0)
  })

  it('sets aside what the server fails over three times, and lets the rest through', async () => {
    const sent = serve(500, 500, 500, stored(0))
    const outbox = useOutbox()
    await outbox.add(reading('kills'), reading('good'))
    const hurry = setInterval(() => window.dispatchEvent(new Event('online')), 30)
    await settled(() =>
      expect(outbox.waiting.map(({ id, problem }) => `${id} ${problem?.outcome}`)).toEqual(['kills refused']),
    )
    clearInterval(hurry)
    expect(sent[0]).toBe('readings kills good')
    expect(sent.slice(1)).toEqual(['readings kills', 'readings kills', 'readings good'])
  })

  it('keeps what a screen has wrapped for its own purposes', async () => {
    serve()
    const outbox = useOutbox()
    const wrapped = reactive({ ...reading('a'), body: { ...reading('a').body, chips: ['worn' as const] } })
    await outbox.add(wrapped)
    expect(outbox.notKept).toBe(false)
    expect((await (await device()).getAll('waiting'))[0]).toMatchObject({ id: 'a', body: { chips: ['worn'] } })
  })

  it('keeps parts and acres without a signal, through a restart, and sends them in their order', async () => {
    const first = serve()
    const outbox = useOutbox()
    // Does not throw: it is kept, and goes up later.
    await outbox.deliver(fitting('f1'))
    await outbox.deliver(line('l1'))
    await outbox.add(reading('a'))
    expect(outbox.waiting.map(({ id }) => id)).toEqual(['piece f1', 'l1', 'a'])
    expect(first.every((sent) => sent === 'ledger f1')).toBe(true)

    useSession().me = null
    setActivePinia(createPinia())
    const sent = serve('kept', 'kept', stored(0))
    useSession().me = wren
    const again = useOutbox()
    await settled(() => expect(sent).toEqual(['ledger f1', 'acres l1', 'readings a']))
    await settled(() => expect(again.waiting).toEqual([]))
  })

  it('gives a form back what the server would not take, with the field, and does not keep it', async () => {
    serve(422, 'kept')
    const outbox = useOutbox()
    await expect(outbox.deliver(line('l1'))).rejects.toMatchObject({ message: 'no 422', errors: {} })
    expect(outbox.waiting).toEqual([])
    expect(await (await device()).count('waiting')).toBe(0)
    await outbox.deliver(line('l2'))
    expect(outbox.waiting).toEqual([])
  })

  it('holds back what corrects something that was refused, and lets the rest through', async () => {
    const sent = serve('down', 422, 'kept')
    const outbox = useOutbox()
    await outbox.add(fitting('f1'), fitting('f2', { supersedes: 'f1' }), line('l1'))
    await settled(() => expect(outbox.waiting.map(({ id }) => id)).toEqual(['piece f1', 'piece f2']))
    expect(outbox.problems.map(({ id }) => id)).toEqual(['piece f1'])
    expect(sent).toEqual(['ledger f1', 'ledger f1', 'acres l1'])
  })

  it('says so where the device cannot keep anything, and sends all the same', async () => {
    const sent = serve(stored(0))
    const outbox = useOutbox()
    const full = vi.spyOn(IDBObjectStore.prototype, 'add').mockImplementationOnce(() => {
      throw new DOMException('full', 'QuotaExceededError')
    })
    await outbox.add(reading('a'))
    expect(outbox.notKept).toBe(true)
    await settled(() => expect(outbox.waiting).toEqual([]))
    expect(sent).toEqual(['readings a'])
    full.mockRestore()
  })
})
