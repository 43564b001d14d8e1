import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { ref } from 'vue'
import { createVuetify } from 'vuetify'
import { queries } from '@/api/queries'
import type { WorkPiece } from '@/api/types'
import { guideOf, signInForTest } from '@/testing'

vi.mock('./joints', async (original) => ({
  ...(await original<object>()),
  useJoints: () => ({
    data: ref([{ step: 'gauge_wheel', revision: 1, variants: [], held: ['', '', 'clevis pin; drift'] }]),
  }),
}))
vi.mock('./useHandsEntries', () => ({ useHandsEntries: () => ({ waiting: ref([]), me: ref(''), tell: vi.fn() }) }))
vi.mock('@/api/client', async (original) => ({
  ...(await original<object>()),
  api: { GET: () => new Promise(() => undefined) },
}))
const { default: WorkCard } = await import('./WorkCard.vue')

const stub = (name: string) => ({ name, template: '<div><slot /></div>' })
const piece = {
  planter: 1,
  row: 3,
  key: '3',
  minutes: 20,
  parts: [],
  jobs: [],
  lines: [
    { key: 'off:3:lock:centre', before: [] },
    { key: 'off:3:gauge_wheel:left', before: [] },
    { key: 'off:3:meter:centre', before: [] },
  ],
} as unknown as WorkPiece

it('says at a line of access what holds it and what opens it, and lets it be written down', async () => {
  signInForTest()
  const wrapper = mount(WorkCard, {
    props: { pieces: [piece], planter: { ...guideOf(1).planter, row_count: 8 } },
    global: {
      plugins: [createVuetify(), [VueQueryPlugin, { queryClient: queries }]],
      stubs: { VDialog: stub('VDialog'), CardHead: stub('CardHead'), CardNotes: stub('CardNotes'), JointDialog: true },
    },
  })
  const lines = wrapper.findAll('.lines li')
  expect(
    lines.map((of) => [of.text().includes('clevis pin; drift'), of.find('[aria-label^="Pin and tools"]').exists()]),
  ).toEqual([
    [false, false],
    [true, true],
    [false, true],
  ])
  await wrapper.get('[aria-label="Pin and tools: Row 3, Gauge wheel left"]').trigger('click')
  await flushPromises()
  expect(wrapper.getComponent({ name: 'JointDialog' }).props()).toMatchObject({
    planterId: 1,
    step: 'gauge_wheel',
    rowCount: 8,
    joint: { revision: 1 },
  })
})
