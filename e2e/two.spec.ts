import { readFileSync } from 'node:fs'
import { expect, type Page } from '@playwright/test'
import { v7 as uuid } from 'uuid'
import { at, kinds, type Planter, type Sent, set } from './everyKind'
import { call, planterWithWalk, server, signIn, test } from './support'

const ROUNDS = 1
const SABLE = 'sable@lowmoor.example'

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
  const of = await set(page, 2 * (Object.keys(kinds).length + 1))
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
        for (const { status, body } of answers) {
          expect([200, 201], `${one} beside ${two}: ${JSON.stringify(body)}`).toContain(status)
          for (const { outcome } of body.receipts ?? []) expect(['stored', 'known']).toContain(outcome)
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
      const outcomes = answers.flatMap(({ body }) => body.receipts?.map(({ outcome }) => outcome) ?? [])
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
  // The same manual from two at once is one.
  const file = { name: 'a.pdf', mimeType: 'application/pdf', buffer: Buffer.from(`%PDF-1.4\n${tag}\n%%EOF\n`) }
  const attached = await Promise.all(
    [page, other].map((of) =>
      call<Kept>(of, 'POST', '/api/manuals', undefined, { name: 'Row units', planter_id: String(planter), file }),
    ),
  )
  expect(attached.map(({ status }) => status).sort()).toEqual([200, 201])
  expect(attached[0]?.body.id).toBe(attached[1]?.body.id)
  documents.push(
    [
      '/api/manuals/',
      attached[0]?.body as Kept,
      [41, 42].map((seed_tube) => ({ name: 'Row units', pages: { seed_tube } })),
    ],
    [
      `/api/planters/${planter}/joints/gauge_wheel`,
      { id: 0, revision: 0 },
      ['bolt', 'clevis pin'].map((pin) => ({ variants: [{ rows: [], pin, tools: '' }] })),
    ],
  )
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
  /** A PNG of one color, so that it can be told from the kept JPEG. */
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

test('of two who add the sample planter at once one is told, and both may remove it', async ({ page, elsewhere }) => {
  await signIn(page, SABLE)
  const other = await elsewhere()
  await signIn(other, SABLE)
  const both = async (method: 'POST' | 'DELETE') => {
    const answers = await Promise.all([page, other].map((on) => call(on, method, '/api/sample-planter')))
    return answers.map(({ status }) => status).sort()
  }
  let shop = 0
  for (let turn = 0; turn < 5; turn++) {
    expect(await both('POST')).toEqual([201, 422])
    // And whoever saves the shop's figures meanwhile, which hang on every planter, is not told that something is gone.
    const figures = () => call(page, 'PATCH', '/api/workshop', { watch_chance: 0.2 + (shop++ % 10) / 100 })
    const [removed, ...saved] = await Promise.all([both('DELETE'), ...Array.from({ length: 6 }, figures)])
    expect(removed).toEqual([204, 204])
    expect(saved.map(({ status }) => status)).toEqual(Array(6).fill(200))
  }
  const yard = await call<{ is_sample: boolean }[]>(page, 'GET', '/api/yard')
  expect(yard.body.filter(({ is_sample }) => is_sample)).toEqual([])
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

test('two who change one figure of the shop at once: one is told which, and another figure is nobody’s conflict @alone', async ({
  page,
  elsewhere,
}) => {
  await signIn(page, SABLE)
  const other = await elsewhere()
  await signIn(other, SABLE)
  type Shop = { depth_cost: number | null; versions: Record<string, string> }
  const { body: before } = await call<Shop>(page, 'GET', '/api/workshop')
  const set = (of: Page, figures: object) =>
    call<Shop & { changed?: string[] }>(of, 'PATCH', '/api/workshop', { ...figures, seen: before.versions })
  const answers = await Promise.all([set(page, { depth_cost: 3 }), set(other, { depth_cost: 4 })])
  const kept = answers.find(({ status }) => status === 200)
  const told = answers.find(({ status }) => status === 409)
  expect(told?.body.changed).toEqual(['depth_cost'])
  const { body: after } = await call<Shop>(page, 'GET', '/api/workshop')
  expect(after.depth_cost).toBe(kept?.body.depth_cost)
  expect((await set(other, { watch_chance: 0.2 })).status).toBe(200)
  await call(page, 'PATCH', '/api/workshop', { depth_cost: before.depth_cost })
})
