import type { Page } from '@playwright/test'
import { v7 as uuid } from 'uuid'
import { call, planterWithWalk } from './support'

export type Sent = { method: string; path: string; body: Record<string, unknown>; ids: string[] }
/** What changes are made of. */
export type Planter = {
  planter: number
  walk: string
  sheet: number
  run: string
  part: number
  lot: number
  meter: number
  /** Work that nobody has finished yet. */
  jobs: string[]
  form: Record<string, unknown>
}

const ROWS = 6
export const at = (second: number) => new Date(Date.UTC(2026, 2, 1, 9, 0, second)).toISOString()
let second = 0
const next = () => (second = (second + 1) % 3000)
const row = () => 1 + (next() % ROWS)

/** Every kind of change of one planter, each time as something new. */
export const kinds: Record<string, (of: Planter) => Sent> = {
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
  finished: ({ planter, jobs }) => {
    const id = uuid()
    const events = [
      { id, kind: 'finished', targets: [`own:1:${jobs.pop()}:centre`], minutes: 5, happened_at: at(next()) },
    ]
    return { method: 'POST', path: `/api/planters/${planter}/work/hands`, body: { events }, ids: [id] }
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
    body: { name: `Side by side ${sheet}`, figures: {}, notch: { value: '1/4 in', source: `manual ${next()}` } },
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
export async function set(page: Page, work = 1): Promise<Planter> {
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
  const jobs = Array.from({ length: work }, () => uuid())
  const job = { row: 1, title: 'Weld it', minutes: 5, happened_at: at(0) }
  for (const id of jobs) await call(page, 'POST', `/api/planters/${planter}/work/own`, { id, ...job })
  return { planter, walk, sheet, run, part, lot, meter, jobs, form }
}
