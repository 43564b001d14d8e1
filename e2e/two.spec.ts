import { readFileSync } from 'node:fs'
import { expect, type Page } from '@playwright/test'
import { v7 as uuid } from 'uuid'
import { call, planterWithWalk, server, signIn, test } from './support'

type Sent = { method: string; path: string; body: Record<string, unknown>; ids: string[]; or?: number }
type Planter = {
  planter: number
  walk: string
  sheet: number
  run: string
  part: number
  lot: number
  meter: number
  form: Record<string, unknown>
}

const ROWS = 6
const ROUNDS = 1
const SABLE = 'sable@lowmoor.example'
const at = (second: number) => new Date(Date.UTC(2026, 2, 1, 9, 0, second)).toISOString()
let second = 0
const next = () => (second = (second + 1) % 3000)
const row = () => 1 + (next() % ROWS)

/** Every kind of change of one planter, each time as something new. */
const kinds: Record<string, (of: Planter) => Sent> = {
  readings: ({ walk }) => {
    const readings = Array.from({ length: 8 }, (_, index) => ({
      id: uuid(),
      row: 1 + (index % ROWS),
      check: 'opener_blade_diameter',
      side: index % 2 === 0 ? 'left' : 'right',
      typed: `14 ${1 + (next() % 7)}/8`,
      confirmed: true,
      taken_at: at(next()),
    }))
    return {
      method: 'POST',
      path: `/api/walks/${walk}/readings`,
      body: { readings },
      ids: readings.map(({ id }) => id),
    }
  },
  note: ({ walk }) => {
    const id = uuid()
    const body = { id, row: row(), check: 'seed_tube', side: 'centre', kind: 'note', text: 'x', taken_at: at(next()) }
    return { method: 'POST', path: `/api/walks/${walk}/notes`, body, ids: [id] }
  },
  fitting: ({ planter }) => {
    const id = uuid()
    const happened_at = new Date(Date.UTC(2025, 1, 1, 0, next(), next())).toISOString()
    const event = { id, kind: 'fitted', row: row(), slot: 'opener_blade', side: 'left', reason: 'worn', happened_at }
    return { method: 'POST', path: `/api/planters/${planter}/ledger`, body: { events: [event] }, ids: [id] }
  },
  shims: ({ planter }) => {
    const id = uuid()
    const event = { id, kind: 'shims_moved', row: row(), pairs: -1, happened_at: at(next()) }
    return { method: 'POST', path: `/api/planters/${planter}/ledger`, body: { events: [event] }, ids: [id] }
  },
  acres: ({ planter }) => {
    const id = uuid()
    const body = { id, day: `2025-04-${10 + (next() % 19)}`, field: 'Long Field', acres: 5 + (next() % 60) }
    return { method: 'POST', path: `/api/planters/${planter}/acres`, body, ids: [id] }
  },
  decision: ({ walk }) => {
    const body = {
      id: uuid(),
      row: row(),
      check: 'firmer_tip',
      side: 'centre',
      action: 'change',
      happened_at: at(next()),
    }
    return { method: 'POST', path: `/api/walks/${walk}/decisions`, body: { decisions: [body] }, ids: [body.id] }
  },
  policy: ({ planter }) => {
    const id = uuid()
    const school = ['limit', 'set', 'like_new'][next() % 3]
    return {
      method: 'POST',
      path: `/api/planters/${planter}/policy`,
      body: { id, school, happened_at: at(next()) },
      ids: [id],
    }
  },
  dig: ({ planter }) => {
    const id = uuid()
    const dig = { id, pass: 1, row: row(), target: '2', depths: ['2', `1 ${1 + (next() % 7)}/8`], spacings: [] }
    const digs = [{ ...dig, happened_at: at(next()) }]
    return { method: 'POST', path: `/api/planters/${planter}/first-pass/digs`, body: { digs }, ids: [id] }
  },
  turned: ({ planter }) => {
    const id = uuid()
    const body = { id, kind: 'hand_turned', rows: [row()], happened_at: at(next()) }
    return { method: 'POST', path: `/api/planters/${planter}/first-pass/sign-offs`, body, ids: [id] }
  },
  watch: ({ planter, run }) => {
    const id = uuid()
    const entries = [{ id, kind: next() % 2 ? 'shut' : 'opened', row: row(), happened_at: at(next()) }]
    return { method: 'POST', path: `/api/planters/${planter}/watch/${run}/entries`, body: { entries }, ids: [id] }
  },
  lube: ({ planter }) => {
    const id = uuid()
    const events = [{ id, kind: 'ticked', targets: ['off:0:lock:centre'], happened_at: at(next()) }]
    // Somebody else has made it safe already: that is said too, and no fault.
    return { method: 'POST', path: `/api/planters/${planter}/work/hands`, body: { events }, ids: [id], or: 422 }
  },
  stock: ({ part }) => {
    const id = uuid()
    const moves = [{ id, part_type_id: part, kind: 'received', quantity: 1 + (next() % 9), happened_at: at(next()) }]
    return { method: 'POST', path: '/api/store/moves', body: { moves }, ids: [id] }
  },
  seed: ({ lot }) => {
    const id = uuid()
    const moves = [{ id, seed_lot_id: lot, kind: 'received', units: 1 + (next() % 9), happened_at: at(next()) }]
    return { method: 'POST', path: '/api/seed/moves', body: { moves }, ids: [id] }
  },
  meter: ({ meter }) => {
    const id = uuid()
    const moves = [{ id, meter_id: meter, to: 'shelf', place: `${next()}`, happened_at: at(next()) }]
    return { method: 'POST', path: '/api/meters/moves', body: { moves }, ids: [id] }
  },
  own: ({ planter }) => {
    const id = uuid()
    const body = { id, row: row(), title: 'Weld it', minutes: 20, happened_at: at(next()) }
    return { method: 'POST', path: `/api/planters/${planter}/work/own`, body, ids: [id] }
  },
  bench: ({ planter }) => {
    const id = uuid()
    const counts = { stage: 'pre', places: 500, skips: next() % 9, doubles: 2 }
    const body = { id, row: row(), ...counts, happened_at: at(next()) }
    return { method: 'POST', path: `/api/planters/${planter}/bench`, body, ids: [id] }
  },
  counts: ({ planter }) => {
    const id = uuid()
    const counts = { stage: 'pre', places: 500, skips: next() % 9, doubles: 2 }
    const runs = [{ id, row: row(), ...counts, happened_at: at(next()) }]
    return { method: 'POST', path: `/api/planters/${planter}/bench/counts`, body: { runs }, ids: [id] }
  },
  settings: ({ planter }) => {
    const id = uuid()
    const settings = [{ id, line: `depth mark ${next() % 12} row ${row()}`, happened_at: at(next()) }]
    return { method: 'POST', path: `/api/planters/${planter}/settings`, body: { settings }, ids: [id] }
  },
  stand: ({ planter }) => {
    const id = uuid()
    const count = {
      id,
      row: row(),
      field: 'Long Field',
      planted_on: '2026-02-01',
      length: 17.5,
      happened_at: at(next()),
    }
    const counts = [{ ...count, plants: 20 + (next() % 9) }]
    return { method: 'POST', path: `/api/planters/${planter}/emergence`, body: { counts }, ids: [id] }
  },
  curve: () => ({
    method: 'PUT',
    path: '/api/workshop/yield-curve',
    body: { crop: `crop ${next() % 5}`, unit: 'bu', price: 4.5, points: `20,000 ${100 + (next() % 50)}; 34,000 200` },
    ids: [],
  }),
  planter: ({ planter, form }) => ({
    method: 'PUT',
    path: `/api/planters/${planter}`,
    body: { ...form, planned_acres: 100 + next() },
    ids: [],
  }),
  sheet: ({ sheet }) => ({
    method: 'PUT',
    path: `/api/spec-sheets/${sheet}`,
    body: { name: 'Side by side', figures: {}, notch: { value: '1/4 in', source: `manual ${next()}` } },
    ids: [],
  }),
  shop: () => ({
    method: 'PATCH',
    path: '/api/workshop',
    body: { watch_chance: 0.2 + (next() % 10) / 100 },
    ids: [],
  }),
  checks: ({ walk }) => ({
    method: 'PATCH',
    path: `/api/walks/${walk}`,
    body: { order: ['row_by_row', 'snake'][next() % 2] },
    ids: [],
  }),
}

/** A planter on a spec sheet of the shop's own, with an open walk. */
async function set(page: Page): Promise<Planter> {
  const sheets = await call<{ id: number; type: string; own: boolean }[]>(page, 'GET', '/api/spec-sheets')
  const typical = sheets.body.find(({ type, own }) => type === 'vacuum' && !own) as { id: number }
  const sheet = (await call<{ id: number }>(page, 'POST', `/api/spec-sheets/${typical.id}/copies`)).body.id
  const { planter, walk } = await planterWithWalk(page, `Side by side ${uuid().slice(-6)}`, ROWS, null)
  const { body } = await call<Record<string, unknown>>(page, 'GET', `/api/planters/${planter}`)
  const form = { farm: body.farm, name: body.name, row_count: ROWS, spacing: '30 in', spec_sheet_id: sheet }
  await call(page, 'PUT', `/api/planters/${planter}`, form)
  const worn = { check: 'firmer_tip', side: 'centre', state: 'change', chips: ['worn'], taken_at: at(0) }
  const readings = Array.from({ length: ROWS }, (_, index) => ({ id: uuid(), row: index + 1, ...worn }))
  await call(page, 'POST', `/api/walks/${walk}/readings`, { readings })
  const tag = uuid().slice(-6)
  const run = uuid()
  const made = async (path: string, data: object) => (await call<{ id: number }>(page, 'POST', path, data)).body.id
  const part = await made('/api/part-types', { name: `Tube ${tag}`, slots: ['seed_tube'], per_row: 1 })
  const lot = await made('/api/seed/lots', { name: `Lot ${tag}`, seeds_per_unit: 80000 })
  const meter = await made('/api/meters', { serial: `M ${tag}` })
  await call(page, 'POST', `/api/planters/${planter}/watch`, { id: run, field: 'Long Field' })
  return { planter, walk, sheet, run, part, lot, meter, form }
}

const send = (page: Page, { method, path, body }: Sent) =>
  call<{ receipts?: { outcome: string }[] }>(page, method, path, body)

test('every way into the record is among them', async ({ page }) => {
  await signIn(page, SABLE)
  const of = await set(page)
  type Operation = { responses: Record<string, { content?: Record<string, { schema?: { $ref?: string } }> }> }
  const { paths } = JSON.parse(readFileSync('public/openapi.json', 'utf8')) as {
    paths: Record<string, Record<string, Operation>>
  }
  const receipts = (operation: Operation) =>
    Object.values(operation.responses).some(({ content }) =>
      content?.['application/json']?.schema?.$ref?.endsWith('/Receipts'),
    )
  const sent = Object.values(kinds).map((kind) => kind(of).path)
  const missing = Object.entries(paths)
    .filter(([, { post }]) => post && receipts(post))
    .map(([path]) => path)
    .filter((path) => !sent.some((one) => new RegExp(`^${path.replaceAll(/\{\w+\}/g, '[^/]+')}$`).test(one)))
  expect(missing).toEqual([])
})

test('changes of every two kinds side by side are all kept, and none is aborted', async ({ page, elsewhere }) => {
  test.setTimeout(600_000)
  // In a small workshop: what all of its planters share is drawn anew for each of them.
  await signIn(page, SABLE)
  const other = await elsewhere()
  await signIn(other, SABLE)
  const of = await set(page)
  const log = () => readFileSync(`${process.env.USTREL_STATE}/pgrun/postgres.log`, 'utf8')
  const deadlocks = () => log().split('deadlock detected').length - 1
  const before = deadlocks()
  const names = Object.keys(kinds)
  let sent = 0

  for (const [index, one] of names.entries()) {
    for (const two of names.slice(index)) {
      const round = () => [one, two].map((name) => (kinds[name] as (of: Planter) => Sent)(of))
      for (let turn = 0; turn < ROUNDS; turn++) {
        const [first, second] = round() as [Sent, Sent]
        const [third, fourth] = round() as [Sent, Sent]
        const answers = await Promise.all([
          send(page, first),
          send(other, second),
          send(other, third),
          send(page, fourth),
        ])
        for (const [index, { status, body }] of answers.entries()) {
          const { or = 201 } = [first, second, third, fourth][index] as Sent
          expect([200, 201, or], `${one} beside ${two}: ${JSON.stringify(body)}`).toContain(status)
          for (const { outcome } of body?.receipts ?? []) expect(['stored', 'known']).toContain(outcome)
        }
        sent += answers.length
      }
    }
  }
  expect(sent).toBe(ROUNDS * 4 * ((names.length * (names.length + 1)) / 2))
  // None lost: each is known when it is sent again, and the state is what the record gives.
  expect(deadlocks()).toBe(before)
  server('artisan ustrel:rebuild')
})

test('the same thing sent at once from two sides is kept once, and both are told so', async ({ page, elsewhere }) => {
  await signIn(page)
  const other = await elsewhere()
  await signIn(other, 'idris@tollgate.example')
  const of = await set(page)
  for (const name of ['readings', 'note', 'fitting', 'shims', 'acres']) {
    for (let turn = 0; turn < 6; turn++) {
      const event = (kinds[name] as (of: Planter) => Sent)(of)
      const answers = await Promise.all([page, other, page, other].map((side) => send(side, event)))
      const statuses = answers.map(({ status }) => status)
      expect(
        statuses.every((status) => status === 200 || status === 201),
        `${name}: ${statuses.join(' ')}`,
      ).toBe(true)
      const outcomes = answers.flatMap(({ body }) => body?.receipts?.map(({ outcome }) => outcome) ?? [])
      if (outcomes.length > 0) expect(outcomes.filter((outcome) => outcome === 'stored')).toHaveLength(event.ids.length)
    }
  }
  // Under one id, different things from two planters: one is kept, and the others are told that it is taken.
  const another = await set(page)
  for (let turn = 0; turn < 6; turn++) {
    const id = uuid()
    const events = [of, another, of, another].map((to, index) => {
      const { path, body } = (kinds.acres as (of: Planter) => Sent)(to)
      return { method: 'POST', path, body: { ...body, id, acres: 10 + index }, ids: [id] }
    })
    const statuses = (await Promise.all(events.map((event, index) => send(index % 2 ? other : page, event)))).map(
      ({ status }) => status,
    )
    expect(statuses.sort()).toEqual([201, 409, 409, 409])
  }
  server('artisan ustrel:rebuild')
})

test('packs and checks of the shop made at once: one of a name, and none lost beside other figures', async ({
  page,
  elsewhere,
}) => {
  await signIn(page)
  const other = await elsewhere()
  await signIn(other, 'idris@tollgate.example')
  const { planter, sheet } = await set(page)
  const sides = [page, other, page, other]
  const pack = { name: `At once ${uuid().slice(-6)}`, kind: 'rain_day', checks: ['seed_tube'] }
  const packs = await Promise.all(sides.map((side) => call(side, 'POST', '/api/packs', pack)))
  expect(packs.map(({ status }) => status).sort()).toEqual([201, 422, 422, 422])

  const path = `/api/spec-sheets/${sheet}`
  const name = uuid().slice(-6)
  const check = (of: string) => ({ name: `Bracket ${of} ${name}`, station: 'frame', kind: 'yes_no' })
  const same = await Promise.all(sides.map((side) => call(side, 'POST', `${path}/own-checks`, check('same'))))
  expect(same.map(({ status }) => status).sort()).toEqual([201, 422, 422, 422])
  // While somebody saves figures of the same sheet.
  const figures = { name: `Side by side ${name}`, figures: {}, notch: { value: '1/4 in', source: 'manual' } }
  const answers = await Promise.all([
    ...sides.map((side, index) => call(side, 'POST', `${path}/own-checks`, check(String(index)))),
    ...sides.map((side) => call(side, 'PUT', path, figures)),
  ])
  expect(answers.map(({ status }) => status)).toEqual([201, 201, 201, 201, 200, 200, 200, 200])
  type Sheet = { checks: { key: string; own: { name: string } | null }[] }
  const { body } = await call<Sheet>(page, 'GET', path)
  const own = body.checks.filter((one) => one.own !== null)
  expect(own.map((one) => one.own?.name).sort()).toEqual(
    ['0', '1', '2', '3', 'same'].map((of) => `Bracket ${of} ${name}`),
  )
  expect(new Set(own.map(({ key }) => key)).size).toBe(5)
  const guide = await call<{ checks: { key: string }[] }>(page, 'GET', `/api/planters/${planter}/guide`)
  expect(guide.body.checks.filter(({ key }) => key.startsWith('own_'))).toHaveLength(5)
})

test('of two who save one planter, part type, pack, sheet, aim or lubrication point at once one is told, and nothing is overwritten', async ({
  page,
  elsewhere,
}) => {
  await signIn(page)
  const other = await elsewhere()
  await signIn(other)
  const tag = uuid().slice(-6)
  type Kept = { id: number; version?: string; revision?: number; name?: string; crop?: string }
  const { planter } = await planterWithWalk(page, `Both ${tag}`, 4)
  const sheets = await call<Kept[]>(page, 'GET', '/api/spec-sheets')
  const made = async (path: string, data: object) => (await call<Kept>(page, 'POST', path, data)).body
  const shown = (await call<Kept & Record<string, unknown>>(page, 'GET', `/api/planters/${planter}`)).body
  const part = { name: `Blade ${tag}`, slots: ['opener_blade'], per_row: 2 }
  const pack = { name: `Walk ${tag}`, kind: 'pre_season', checks: ['seed_tube'] }
  const sheet = await made(`/api/spec-sheets/${sheets.body[0]?.id}/copies`, {})
  const { farm, row_count } = shown
  const sheetEdit = { name: `Sheet ${tag}`, figures: {}, notch: { value: '1/4', source: 'manual' } }
  const form = { farm, name: shown.name, row_count, spacing: '30 in', spec_sheet_id: sheets.body[0]?.id }
  const documents: [string, Kept, object[]][] = [
    [`/api/planters/${planter}`, shown, [500, 777].map((planned_acres) => ({ ...form, planned_acres }))],
    ['/api/part-types/', await made('/api/part-types', part), [40, 41].map((price) => ({ ...part, price }))],
    [
      '/api/packs/',
      await made('/api/packs', pack),
      ['seed_tube', 'gauge_touch'].map((one) => ({ ...pack, checks: [one, 'opener_blade_edge'] })),
    ],
    ['/api/spec-sheets/', sheet, ['a', 'b'].map((of) => ({ ...sheetEdit, name: `Sheet ${of} ${tag}` }))],
    [
      '/api/aims/',
      await made('/api/aims', { crop: `crop ${tag}` }),
      [0.94, 0.95].map((singulation) => ({ crop: `crop ${tag}`, singulation })),
    ],
    [
      `/api/lubrication/${uuid()}`,
      { id: 0, revision: 0 },
      [2, 3].map((minutes) => ({ name: `Pins ${tag}`, per: 'row', minutes, product: 'grease', rounds: 'both' })),
    ],
  ]
  for (const [path, kept, edits] of documents) {
    const address = path.endsWith('/') ? `${path}${kept.id}` : path
    const seen = kept.version === undefined ? { revision: kept.revision } : { version: kept.version }
    const saved = await Promise.all(
      edits.map((edit, at) => call<Kept>(at ? other : page, 'PUT', address, { ...edit, ...seen })),
    )
    expect(saved.map(({ status }) => status).sort(), `${path} ${JSON.stringify(saved)}`).toEqual([200, 409])
    // Late, as from a device that was away: told so again, but for the one whose answer was lost.
    const late = await Promise.all(edits.map((edit) => call(other, 'PUT', address, { ...edit, ...seen })))
    // What stands already is known.
    expect(late.map(({ status }) => status).sort(), path).toEqual([200, 409])
  }
})

test('of pictures sent at once under one id the one that was acknowledged is the one that is kept', async ({
  page,
  elsewhere,
}) => {
  await signIn(page)
  const other = await elsewhere()
  await signIn(other, 'idris@tollgate.example')
  const { walk } = await set(page)
  /** A PNG of one colour, so that it can be told from the kept JPEG. */
  const picture = (red: number) =>
    page.evaluate((red) => {
      const canvas = document.createElement('canvas')
      canvas.width = canvas.height = 64
      const context = canvas.getContext('2d') as CanvasRenderingContext2D
      context.fillStyle = `rgb(${red} 0 0)`
      context.fillRect(0, 0, 64, 64)
      return canvas.toDataURL('image/png').split(',')[1] as string
    }, red)
  const reds = [20, 90, 160, 230]
  const pictures = await Promise.all(reds.map(picture))
  for (let turn = 0; turn < 4; turn++) {
    const id = uuid()
    const post = async (side: Page, content: string) => {
      const cookies = await side.context().cookies()
      const token = decodeURIComponent(cookies.find(({ name }) => name === 'XSRF-TOKEN')?.value ?? '')
      return side.request.post(`/api/walks/${walk}/photos`, {
        headers: { Accept: 'application/json', Referer: process.env.BASE_URL as string, 'X-XSRF-TOKEN': token },
        multipart: {
          id,
          row: '1',
          check: 'seed_tube',
          side: 'centre',
          taken_at: at(1),
          photo: { name: 'photo.png', mimeType: 'image/png', buffer: Buffer.from(content, 'base64') },
        },
      })
    }
    const answers = await Promise.all(pictures.map((content, index) => post(index % 2 ? other : page, content)))
    const statuses = answers.map((answer) => answer.status())
    expect([...statuses].sort()).toEqual([201, 409, 409, 409])
    const red = await page.evaluate(async (id) => {
      const bitmap = await createImageBitmap(await (await fetch(`/api/photos/${id}`, { cache: 'no-store' })).blob())
      const canvas = document.createElement('canvas')
      canvas.width = canvas.height = 1
      const context = canvas.getContext('2d') as CanvasRenderingContext2D
      context.drawImage(bitmap, 0, 0)
      return context.getImageData(0, 0, 1, 1).data[0] as number
    }, id)
    expect(Math.abs(red - (reds[statuses.indexOf(201)] as number))).toBeLessThan(6)
  }
})

const ordersAtOnce = 'what two draft at once is drafted once, and what comes at once is on the shelf'
test(ordersAtOnce, { tag: '@alone' }, async ({ page, elsewhere }) => {
  await signIn(page, SABLE)
  const other = await elsewhere()
  await signIn(other, SABLE)
  const name = `Short ${uuid().slice(-6)}`
  const part = { name, own_number: null, slots: ['seed_tube'], per_row: 1, price: 9, lead_days: 3, minimum: 6 }
  const more = { notes: '', heavy: false, clearance: false }
  const type = (await call<{ id: number }>(page, 'POST', '/api/part-types', { ...part, ...more })).body.id
  const both = (ask: (on: Page) => Promise<{ status: number }>) => Promise.all([ask(page), ask(other)])
  type Order = { id: number; revision: number; lines: { part_type_id: number; quantity: number; received: number }[] }
  const mine = async () =>
    (await call<Order[]>(page, 'GET', '/api/orders')).body.filter(({ lines }) =>
      lines.some(({ part_type_id }) => part_type_id === type),
    )

  for (let turn = 0; turn < 5; turn++) {
    const drafted = await both((on) => call(on, 'POST', '/api/orders/draft'))
    expect(drafted.map(({ status }) => status)).toEqual([200, 200])
  }
  const [order, ...others] = (await mine()) as [Order, ...Order[]]
  expect(others).toEqual([])
  const off = { ...order, state: 'ordered', ordered_on: '2026-03-02' }
  const sent = await both((on) => call(on, 'PUT', `/api/orders/${order.id}`, off))
  // The same twice is known; another change over it is not taken.
  expect(sent.map(({ status }) => status)).toEqual([200, 200])
  const changed = { ...off, lines: order.lines.map((line) => ({ ...line, quantity: line.quantity + 1 })) }
  expect((await call(other, 'PUT', `/api/orders/${order.id}`, changed)).status).toBe(409)
  const move = () => ({ id: uuid(), part_type_id: type, quantity: 2, happened_at: at(0) })
  const same = { moves: [move()] }
  await both((on) => call(on, 'POST', `/api/orders/${order.id}/receive`, same))
  await both((on) => call(on, 'POST', `/api/orders/${order.id}/receive`, { moves: [move()] }))
  const line = (await mine())[0]?.lines.find(({ part_type_id }) => part_type_id === type)
  expect(line).toMatchObject({ quantity: 6, received: 6 })
  const store = await call<{ part_type_id: number; on_hand: number }[]>(page, 'GET', '/api/store')
  expect(store.body.find(({ part_type_id }) => part_type_id === type)?.on_hand).toBe(6)
})
