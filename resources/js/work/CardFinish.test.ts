import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { createVuetify } from 'vuetify'
import { queries } from '@/api/queries'
import type { Side, WorkJob, WorkPiece } from '@/api/types'
import { signInForTest } from '@/testing'

const { deliver } = vi.hoisted(() => ({ deliver: vi.fn() }))
vi.mock('@/offline/outbox', () => ({ useOutbox: () => ({ deliver, waiting: [] }) }))
vi.mock('@/parts/queries', () => ({ usePartTypes: () => ({ data: { value: [] } }) }))
const { default: CardFinish } = await import('./CardFinish.vue')

const key = 'adjust:3:blade_contact_length:centre'
const piece = { planter: 1, row: 3, minutes: 20, parts: [], jobs: [] } as unknown as WorkPiece

async function finish(ledger: WorkJob['ledger']) {
  const job = { key, action: 'adjust', title: null, what: 'blade_contact_length', side: 'centre', ledger } as WorkJob
  const wrapper = mount(CardFinish, {
    props: { done: [{ piece, jobs: [job] }], minutes: 12 },
    global: { plugins: [createVuetify(), [VueQueryPlugin, { queryClient: queries }]] },
  })
  await wrapper.get('form').trigger('submit')
  await flushPromises()
  return deliver.mock.lastCall?.[0]?.body as { ledger: object[]; events: object[] } | undefined
}
const shims = (pairs: number | null, side: Side = 'centre') => ({
  kind: 'shims_moved' as const,
  side,
  slot: null,
  pairs,
})

beforeEach(() => {
  deliver.mockReset().mockResolvedValue(undefined)
  signInForTest()
})

it.each([1, 2, -2])('writes %d pairs of shims into the ledger, as the job says', async (pairs) => {
  const body = await finish([shims(pairs)])
  expect(body?.ledger).toMatchObject([{ kind: 'shims_moved', row: 3, side: 'centre', pairs }])
  expect(body?.events).toMatchObject([{ kind: 'finished', targets: [key], minutes: 12 }])
})

it('writes no shims where none are moved, and none that nobody counted', async () => {
  expect((await finish([]))?.ledger ?? []).toEqual([])
  expect((await finish([shims(null, 'left'), shims(null, 'right')]))?.ledger ?? []).toEqual([])
})

it('writes a part that went in, at its slot and side', async () => {
  const body = await finish([{ kind: 'fitted', side: 'centre', slot: 'closing_wheel', pairs: null }])
  expect(body?.ledger).toMatchObject([
    { kind: 'fitted', row: 3, slot: 'closing_wheel', side: 'centre', reason: 'worn' },
  ])
})
