import 'fake-indexeddb/auto'
import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { createVuetify } from 'vuetify'
import type { Waiting } from '@/offline/device'
import { guideOf, signInForTest } from '@/testing'

const outbox = vi.hoisted(() => ({
  problems: [] as unknown[],
  waiting: [] as unknown[],
  notKept: false,
  said: [] as unknown[][],
  sendAgain: (...said: unknown[]) => outbox.said.push(['send again', ...said]),
  discard: (...said: unknown[]) => outbox.said.push(['discard', ...said]),
  rewritten: [] as (Waiting | null)[],
  rewrite: (edit: (item: Waiting) => Waiting | null) => {
    outbox.rewritten = outbox.waiting.map((item) => edit(item as Waiting))
  },
}))
const went = vi.hoisted(() => [] as unknown[])
vi.mock('@/offline/outbox', () => ({ useOutbox: () => outbox }))
vi.mock('vue-router', () => ({ useRouter: () => ({ push: (to: unknown) => went.push(to) }) }))
// The client takes hold of fetch as it is loaded, so the stand-in has to be there before.
vi.hoisted(() => {
  globalThis.fetch = (async (request: Request) =>
    Response.json(
      request.url.endsWith('/guide') ? { walk: { id: 'open' } } : [{ id: 1, name: 'Quill Bottom' }],
    )) as typeof fetch
})
const { default: OutboxProblems } = await import('./OutboxProblems.vue')

const reading = (problem: Waiting['problem'], body: object = {}): Waiting => ({
  what: 'reading',
  user: 1,
  planter: 1,
  walk: guideOf(1).walk.id,
  id: 'r1',
  problem,
  body: {
    id: 'r1',
    row: 3,
    check: 'opener_blade_diameter',
    side: 'left',
    typed: '15 1/4',
    units: 'in',
    taken_at: '2026-03-01T09:00:00Z',
    ...body,
  },
})
const start: Waiting = {
  what: 'start',
  user: 1,
  planter: 1,
  walk: 'w1',
  id: 'w1',
  problem: { outcome: 'refused', message: 'This planter has a walk that is still open.', doubts: [] },
  body: { kind: 'rain_day', order: 'row_by_row', checks: null, started_at: '2026-03-01T09:00:00Z' },
}

async function problems(...items: Waiting[]) {
  outbox.problems = items
  outbox.waiting = [...items, reading(undefined, { id: 'r2' }), { ...reading(undefined), id: 'r3' }]
  const wrapper = mount(OutboxProblems, { global: { plugins: [createVuetify(), VueQueryPlugin] } })
  await flushPromises()
  const press = async (name: string) => {
    await wrapper
      .findAll('button')
      .find((one) => one.text() === name)!
      .trigger('click')
    await flushPromises()
  }
  // Fractions are told twice: spoken and drawn.
  return { wrapper, press, buttons: wrapper.findAll('button').map((one) => one.text()), says: wrapper.text() }
}

describe('what the server would not take', () => {
  beforeEach(() => {
    signInForTest()
    Object.assign(outbox, { notKept: false, said: [] })
    went.length = 0
  })

  it('asks about what is unlikely, in words, and keeps it or goes to measure again', async () => {
    const doubts = [{ code: 'larger_than_new', ref: 381, unit: 'mm' as const }]
    const { says, buttons, press } = await problems(reading({ outcome: 'doubtful', message: '', doubts }))
    expect(says).toContain('Quill Bottom, Row 3, opener blade diameter left')
    expect(says).toContain('larger than new (15 in).')
    expect(buttons).toEqual(['Save', 'Measure again'])
    await press('Save')
    await press('Measure again')
    expect(outbox.said).toEqual([
      ['send again', 'r1', true],
      ['discard', 'r1'],
    ])
    expect(went).toEqual([
      { name: 'walk', params: { planter: 1 }, query: { row: 3, check: 'opener_blade_diameter', side: 'left' } },
    ])
  })

  it('says why something was refused, and lets nothing go unasked', async () => {
    const message = 'This walk is finished. Reopen it to add readings.'
    const looked = reading({ outcome: 'refused', message, doubts: [] }, { result: 'looked_sound', typed: null })
    const { says, buttons, press } = await problems(looked)
    expect(says).toContain(message)
    expect(buttons).toEqual(['Send again', 'Discard'])
    expect(outbox.said).toEqual([])
    await press('Send again')
    expect(outbox.said).toEqual([['send again', 'r1', false]])
  })

  it('puts a walk that could not be started into the one that is open', async () => {
    const { says, buttons, press } = await problems(start)
    expect(says).toContain('The walk started on this device, with 2 recorded in it')
    expect(buttons[0]).toBe('Move to the open walk')
    await press('Move to the open walk')
    const [dropped, ...moved] = outbox.rewritten
    expect(dropped).toBeNull()
    expect(moved.map((item) => item && 'walk' in item && item.walk)).toEqual(['open', 'open'])
  })

  it('warns where the device keeps nothing, and is silent where there is nothing to say', async () => {
    expect((await problems()).wrapper.find('ul').exists()).toBe(false)
    outbox.notKept = true
    expect((await problems()).says).toContain('Do not close this page until it says saved')
  })
})
