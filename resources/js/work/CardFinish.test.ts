import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { createVuetify } from 'vuetify'
import { queries } from '@/api/queries'
import type { WorkJob, WorkPiece } from '@/api/types'
import { signInForTest } from '@/testing'

const { deliver } = vi.hoisted(() => ({ deliver: vi.fn() }))
vi.mock('@/offline/outbox', () => ({ useOutbox: () => ({ deliver, waiting: [] }) }))
vi.mock('@/parts/queries', () => ({ usePartTypes: () => ({ data: { value: [] } }) }))
const { default: CardFinish } = await import('./CardFinish.vue')

const key = 'adjust:3:blade_contact_length:centre'
const job = (why: WorkJob['why'], by: number | null) =>
  ({
    key,
    action: 'adjust',
    title: null,
    what: 'blade_contact_length',
    side: 'centre',
    why,
    by: by === null ? null : { value: by, unit: 'shim' },
  }) as WorkJob
const piece = { planter: 1, row: 3, minutes: 20, parts: [], jobs: [] } as unknown as WorkPiece

async function finish(why: WorkJob['why'], by: number | null) {
  const wrapper = mount(CardFinish, {
    props: { done: [{ piece, jobs: [job(why, by)] }], minutes: 12 },
    global: { plugins: [createVuetify(), [VueQueryPlugin, { queryClient: queries }]] },
  })
  await wrapper.get('form').trigger('submit')
  await flushPromises()
  return deliver.mock.lastCall?.[0]?.body as { ledger: object[]; events: object[] } | undefined
}

beforeEach(() => {
  deliver.mockReset().mockResolvedValue(undefined)
  signInForTest()
})

it.each([
  ['shims_in', 1, 1],
  ['shims_in', 2, 2],
  ['shims_out', 2, -2],
  ['shim_out_and_measure', null, -1],
] as const)('writes %s by %j into the ledger as %d pairs on the row', async (why, by, pairs) => {
  const body = await finish(why, by)
  expect(body?.ledger).toMatchObject([{ kind: 'shims_moved', row: 3, side: 'centre', pairs }])
  expect(body?.events).toMatchObject([{ kind: 'finished', targets: [key], minutes: 12 }])
})

it('writes no shims for what moves none', async () => {
  expect((await finish('arm_shim_in', 1))?.ledger ?? []).toEqual([])
})
