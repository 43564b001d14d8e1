import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { createVuetify } from 'vuetify'
import type { LedgerEntry, RowContact, ShimMove } from '@/api/types'
import { signInForTest } from '@/testing'

// The client takes hold of fetch as it is loaded, so the stand-in has to be there before.
const network = vi.hoisted(() => {
  const network = { sent: [] as unknown[] }
  globalThis.fetch = (async (request: Request) => {
    if (request.method === 'POST') network.sent.push(...((await request.json()) as { events: unknown[] }).events)
    return Response.json({})
  }) as typeof fetch
  return network
})
const { default: ContactCard } = await import('./ContactCard.vue')

const short: RowContact = {
  row: 4,
  contact_mm: 31.75,
  taken_at: '2026-03-01T09:00:00.000Z',
  shims_left: 3,
  shims_right: 3,
  moved: false,
  advice: { code: 'take_out', pairs: -2, expected_mm: 57.15, sd_mm: 12.8, uneven: false, long: false },
}
const lastMove: ShimMove = {
  id: 'm1',
  row: 4,
  pairs: -2,
  contact_before_mm: 31.75,
  note: '',
  happened_at: '2026-03-01T10:00:00.000Z',
  by: 'Wren',
}

function card(contact: RowContact, move?: ShimMove) {
  const wrapper = mount(ContactCard, {
    props: { planterId: 1, contact, sensitivity: { mm: 12.7, sd_mm: 5.715, moves: 0, aim_mm: 50.8 }, lastMove: move },
    global: { plugins: [createVuetify()] },
  })
  const press = async (name: string) => {
    await wrapper
      .findAll('button')
      .find((one) => one.text() === name)!
      .trigger('click')
    await flushPromises()
  }
  return { wrapper, press, says: wrapper.text().replace(/\s+/g, ' ') }
}

describe('blade contact of a row', () => {
  beforeEach(() => {
    signInForTest()
    document.cookie = 'XSRF-TOKEN=token'
    network.sent.length = 0
  })

  it('says how many shims to move, what to expect and what hurts, and records the number that was moved', async () => {
    const { says, press, wrapper } = card(short)
    expect(says).toContain('inner shims 3 left, 3 right')
    expect(says).toContain('Too short: take out 2 on each side.')
    expect(says).toContain('Expected after: ')
    expect(says).toContain('a typical value until this planter’s own moves say better')
    expect(wrapper.get('.caution').text()).toContain('Fingers stay out from between the blades')
    await wrapper.get('select').setValue('-1')
    await press('They are moved')
    expect(network.sent as LedgerEntry[]).toMatchObject([
      { kind: 'shims_moved', row: 4, pairs: -1, contact_before: '31.75 mm' },
    ])
  })

  it('has nothing to do where the contact is good, and no move to record where the blades are done', () => {
    const good = card({ ...short, contact_mm: 50.8, advice: { ...short.advice!, code: 'leave', pairs: 0 } })
    expect(good.wrapper.findAll('button')).toHaveLength(0)
    const done = card({ ...short, shims_left: 0, advice: { ...short.advice!, code: 'blades_done', pairs: 0 } })
    expect(done.says).toContain('the blades are done')
    expect(done.wrapper.findAll('button')).toHaveLength(0)
  })

  it('promises no length where the blades do not touch, and says where one pair is too coarse', () => {
    const advice = { code: 'gap' as const, pairs: -1, expected_mm: null, sd_mm: null, uneven: false, long: false }
    const gap = card({ ...short, contact_mm: 0, advice })
    expect(gap.says).toContain('take one out on each side and measure again')
    expect(gap.says).not.toContain('Expected after')
    expect(gap.wrapper.findAll('button')).toHaveLength(1)
    const coarse = card({ ...short, contact_mm: 66, advice: { ...advice, code: 'too_coarse', pairs: 0 } })
    expect(coarse.says).toContain('too coarse here')
    expect(coarse.wrapper.findAll('button')).toHaveLength(0)
  })

  it('asks for the contact again once shims were moved, and takes the move back', async () => {
    const { says, press, wrapper } = card({ ...short, contact_mm: null, advice: null, moved: true }, lastMove)
    expect(says).toContain('measure the contact again')
    expect(says).toContain('Inner shims: 2 taken out on each side. Mar 1, 2026 by Wren.')
    await press('Take the move back')
    expect(network.sent).toMatchObject([{ kind: 'withdrawn', supersedes: 'm1' }])
    await press('Measure it again')
    expect(wrapper.emitted('measure')).toHaveLength(1)
  })
})
