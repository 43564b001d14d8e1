import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { createVuetify } from 'vuetify'
import type { LedgerEntry, OddShimMove, RowContact, ShimMove } from '@/api/types'
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
  advice: {
    code: 'take_out',
    left: -2,
    right: -2,
    pack: 1,
    expected_mm: 57.15,
    sd_mm: 12.8,
    uneven: false,
    long: false,
  },
}
const lastMove: ShimMove = {
  id: 'm1',
  row: 4,
  side: 'centre',
  pairs: -2,
  contact_before_mm: 31.75,
  note: '',
  happened_at: '2026-03-01T10:00:00.000Z',
  by: 'Wren',
}

function card(contact: RowContact, move?: ShimMove, odd?: OddShimMove) {
  const wrapper = mount(ContactCard, {
    props: {
      planterId: 1,
      contact,
      sensitivity: { mm: 12.7, sd_mm: 5.715, moves: 0, aim_mm: 50.8 },
      lastMove: move,
      odd,
    },
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
    expect(says).toContain('Too short: take 2 out on each side.')
    expect(says).toContain('Expected after: ')
    expect(says).toContain('a typical value until this planter has its own moves')
    expect(wrapper.get('.caution').text()).toContain('Fingers stay out from between the blades')
    for (const select of wrapper.findAll('select')) await select.setValue('-1')
    await press('Shims moved')
    expect(network.sent as LedgerEntry[]).toMatchObject([
      { kind: 'shims_moved', row: 4, pairs: -1, contact_before: '31.75 mm' },
    ])
  })

  it('has nothing to do where the contact is good, and no move to record where the blades are worn out', () => {
    const good = card({ ...short, contact_mm: 50.8, advice: { ...short.advice!, code: 'leave', left: 0, right: 0 } })
    expect(good.wrapper.findAll('button')).toHaveLength(0)
    const done = card({ ...short, shims_left: 0, advice: { ...short.advice!, code: 'blades_done', left: 0, right: 0 } })
    expect(done.says).toContain('the blades are worn out')
    expect(done.wrapper.findAll('button')).toHaveLength(0)
  })

  it('gives one instruction where the packs differ too, and records each side by itself', async () => {
    const advice = { ...short.advice!, left: -2, right: 0, pack: 1, uneven: true }
    const { says, press } = card({ ...short, shims_right: 1, advice })
    expect(says).toContain('Too short: take 2 out on the left.')
    expect(says).toContain('Each side then has 1.')
    await press('Shims moved')
    expect(network.sent as LedgerEntry[]).toMatchObject([{ kind: 'shims_moved', side: 'left', pairs: -2 }])
    expect(network.sent).toHaveLength(1)
  })

  it('asks about a move after which the contact went the wrong way', async () => {
    const odd = { id: 'm9', row: 4, pairs: 1, before_mm: 38.1, after_mm: 50.8, happened_at: '2026-03-01T10:00:00.000Z' }
    const { says, press } = card(short, undefined, odd)
    expect(says).toContain('inner shims: 1 added on each side. But contact went from 1')
    expect(says).toContain('to 2 in. Adding shims makes it shorter.')
    await press('Remove this move')
    expect(network.sent).toMatchObject([{ kind: 'withdrawn', supersedes: 'm9' }])
  })

  it('promises no length where the blades do not touch, and says where one pair is too coarse', () => {
    const advice = {
      code: 'gap' as const,
      left: -1,
      right: -1,
      pack: 2,
      expected_mm: null,
      sd_mm: null,
      uneven: false,
      long: false,
    }
    const gap = card({ ...short, contact_mm: 0, advice })
    expect(gap.says).toContain('take 1 out on each side and measure again')
    expect(gap.says).not.toContain('Expected after')
    expect(gap.wrapper.findAll('button')).toHaveLength(1)
    const coarse = card({ ...short, contact_mm: 66, advice: { ...advice, code: 'too_coarse', left: 0, right: 0 } })
    expect(coarse.says).toContain('too coarse here')
    expect(coarse.wrapper.findAll('button')).toHaveLength(0)
  })

  it('asks for the contact again once shims were moved, and takes the move back', async () => {
    const { says, press, wrapper } = card({ ...short, contact_mm: null, advice: null, moved: true }, lastMove)
    expect(says).toContain('measure contact again')
    expect(says).toContain('Inner shims: 2 taken out on each side. Mar 1, 2026 by Wren.')
    await press('Undo the move')
    expect(network.sent).toMatchObject([{ kind: 'withdrawn', supersedes: 'm1' }])
    await press('Measure again')
    expect(wrapper.emitted('measure')).toHaveLength(1)
  })
})
