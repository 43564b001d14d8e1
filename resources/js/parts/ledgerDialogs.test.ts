import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import type { Component } from 'vue'
import { createVuetify } from 'vuetify'
import type { Ledger, LedgerEntry, PartType } from '@/api/types'
import { fittingOf, signInForTest } from '@/testing'

// The client takes hold of fetch as it is loaded, so the stand-in has to be there before.
const network = vi.hoisted(() => {
  const network = { types: [] as unknown[], sent: [] as unknown[], refuse: null as string | null }
  globalThis.fetch = (async (request: Request) => {
    if (request.method !== 'POST') return Response.json(request.url.endsWith('/part-types') ? network.types : [])
    network.sent.push(...((await request.json()) as { events: unknown[] }).events)
    return network.refuse === null
      ? Response.json({}, { status: 201 })
      : Response.json({ message: 'no', errors: { 'events.0.size': [network.refuse] } }, { status: 422 })
  }) as typeof fetch
  return network
})
const { queries } = await import('@/api/queries')
const { default: ChangeParts } = await import('./ChangeParts.vue')
const { default: MovePart } = await import('./MovePart.vue')
const { default: CorrectFitting } = await import('./CorrectFitting.vue')

const type = (id: number, fields: Partial<PartType> = {}): PartType => ({
  id,
  version: 'a1',
  name: `Blade ${id}`,
  own_number: null,
  slots: ['opener_blade'],
  per_row: 2,
  new_size_mm: 381,
  new_size_typed: '15 in',
  life_m: null,
  price: 40,
  lead_days: null,
  minimum: null,
  notes: '',
  heavy: false,
  clearance: false,
  ...fields,
})

const onRow1 = fittingOf({ id: 'f1', part_id: 'piece 1' })
const onRow3 = fittingOf({ id: 'f3', part_id: 'piece 3', row: 3 })
const ledger: Ledger = {
  slots: [
    {
      slot: 'opener_blade',
      station: 'opener_blades',
      sides: ['left', 'right'],
      rows: null,
      check: 'opener_blade_diameter',
      measured: true,
    },
    { slot: 'seed_tube', station: 'seed_tube', sides: ['centre'], rows: null, check: 'seed_tube', measured: false },
  ],
  fitted: [onRow1, onRow3],
  shelf: [],
}

async function dialog(component: Component, props: Record<string, unknown>) {
  const wrapper = mount(component, {
    props: { planterId: 1, ledger, rowCount: 8, ...props },
    global: {
      plugins: [createVuetify(), [VueQueryPlugin, { queryClient: queries }]],
      stubs: { VDialog: { template: '<div><slot /></div>' } },
    },
  })
  await flushPromises()
  const field = (label: string) => {
    const found = wrapper.findAll('label[for]').find((one) => one.text() === label)
    return wrapper.get(`[id="${found?.attributes('for')}"]`)
  }
  const button = (name: string | RegExp) =>
    wrapper.findAll('button').find((one) => (typeof name === 'string' ? one.text() === name : name.test(one.text())))!
  const send = async () => {
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    return network.sent as LedgerEntry[]
  }
  return { wrapper, field, button, send }
}

beforeEach(() => {
  signInForTest()
  document.cookie = 'XSRF-TOKEN=token'
  queries.clear()
  network.sent.length = 0
  network.refuse = null
  network.types = [type(1, { heavy: true }), type(2), type(3, { slots: ['seed_tube'], price: 44 })]
})

describe('changing parts', () => {
  const start = { slot: 'opener_blade', rows: [3, 4] }

  it('fits one part for each row and side, as what is fitted there now, at its price', async () => {
    const { send, wrapper, button } = await dialog(ChangeParts, { start })
    expect(button(/^Fit/).text()).toBe('Fit 4 parts')
    const events = await send()
    expect(events.map(({ row, side }) => [row, side])).toEqual([
      [3, 'left'],
      [3, 'right'],
      [4, 'left'],
      [4, 'right'],
    ])
    expect(events[0]).toMatchObject({ kind: 'fitted', part_type_id: 2, cost: 40, size: null, reason: 'worn' })
    expect(wrapper.emitted('close')).toHaveLength(1)
  })

  it('takes rows as they are said, and says when they cannot be', async () => {
    const { field, button, wrapper, send } = await dialog(ChangeParts, { start: { ...start, side: 'right' } })
    await field('Rows').setValue('3, 9')
    expect(button(/^Fit/).attributes('disabled')).toBeDefined()
    expect(wrapper.text()).toContain('Rows from 1 to 8')
    await field('Rows').setValue('1-2; 8')
    await field('Cost each').setValue('$38.50')
    expect((await send()).map(({ row, side, cost }) => [row, side, cost])).toEqual([
      [1, 'right', 38.5],
      [2, 'right', 38.5],
      [8, 'right', 38.5],
    ])
  })

  it('keeps what was typed and says what was wrong with it', async () => {
    const { field, send, wrapper } = await dialog(ChangeParts, { start })
    network.refuse = '“big” is no length.'
    await field('Size when fitted').setValue('big')
    const [first] = await send()
    expect(first).toMatchObject({ size: 'big' })
    expect(wrapper.get('ul[role=alert]').text()).toBe('“big” is no length.')
    expect(wrapper.emitted('close')).toBeUndefined()
  })

  it('warns of what hurts at the station itself', async () => {
    const { wrapper } = await dialog(ChangeParts, { start: { slot: 'seed_tube', rows: [1] } })
    expect(wrapper.get('.caution').text()).toMatch(/^Worn edges cut.*operator's manual/)
  })
})

describe('moving a part', () => {
  it('swaps with the one that is there', async () => {
    const { send, button, wrapper } = await dialog(MovePart, { part: onRow3 })
    expect(wrapper.text()).toContain('it has run 50 mi')
    expect(button('Move it').attributes('disabled')).toBeUndefined()
    expect(await send()).toMatchObject([
      { row: 1, side: 'left', part_id: 'piece 3', reason: 'moved' },
      { row: 3, side: 'left', part_id: 'piece 1', reason: 'moved' },
    ])
  })

  it('puts the other on the shelf where it is not swapped', async () => {
    const { send, wrapper } = await dialog(MovePart, { part: onRow3 })
    await wrapper.get('input[type=checkbox]').setValue(false)
    expect(wrapper.text()).toContain('The part on row 1 goes on the shelf')
    expect(await send()).toMatchObject([{ row: 1, part_id: 'piece 3', reason: 'with_the_set' }])
  })

  it('comes back from the shelf to its row', async () => {
    const part = fittingOf({ row: 2, part_id: 'piece 2', removed_at: '2025-06-01T10:00:00.000Z' })
    const { send, wrapper } = await dialog(MovePart, { part })
    expect(wrapper.text()).toContain('Fit a used part')
    expect(await send()).toMatchObject([{ row: 2, part_id: 'piece 2' }])
    expect(network.sent).toHaveLength(1)
  })
})

describe('putting a fitting right', () => {
  it('keeps the moment where the day stays, and takes the workshop’s noon of another', async () => {
    const { field, send } = await dialog(CorrectFitting, { fitting: onRow1 })
    await field('Size when fitted').setValue('14 7/8')
    const [same] = await send()
    expect(same).toMatchObject({ supersedes: 'f1', size: '14 7/8', happened_at: onRow1.fitted_at, cost: 38.5 })
    await field('Fitted on').setValue('2025-03-05')
    const [, other] = await send()
    expect(other).toMatchObject({ supersedes: 'f1', happened_at: '2025-03-05T18:00:00.000Z' })
  })

  it('takes the entry back, or the part out', async () => {
    const { button, wrapper } = await dialog(CorrectFitting, { fitting: onRow1 })
    await button(/^Undo the entry of/).trigger('click')
    await flushPromises()
    await button('Removed today').trigger('click')
    await flushPromises()
    expect(network.sent).toMatchObject([
      { kind: 'withdrawn', supersedes: 'f1' },
      { kind: 'removed', fitting_id: 'f1', reason: 'failed' },
    ])
    expect(wrapper.emitted('close')).toHaveLength(2)
  })
})
