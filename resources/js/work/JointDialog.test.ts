import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { createVuetify } from 'vuetify'
import type { Joint } from '@/api/types'
import { signInForTest } from '@/testing'

const sent = vi.hoisted(() => [] as unknown[])
vi.mock('@/api/client', async (original) => ({
  ...(await original<object>()),
  api: {
    PUT: (path: string, { params, body }: { params: { path: object }; body: object }) => {
      sent.push([path, params.path, body])
      return Promise.resolve({ data: {}, response: { ok: true } })
    },
  },
}))

const { default: JointDialog } = await import('./JointDialog.vue')

const joint: Joint = {
  step: 'gauge_wheel',
  revision: 2,
  held: [],
  variants: [
    { rows: [], pin: '1/2 bolt', tools: '3/4 wrench' },
    { rows: [3, 4, 5], pin: 'clevis pin', tools: '' },
  ],
}
const VDialog = { name: 'VDialog', template: '<div><slot /></div>' }
const show = (of?: Joint) =>
  mount(JointDialog, {
    props: { planterId: 7, step: 'gauge_wheel', rowCount: 8, ...(of ? { joint: of } : {}) },
    global: { plugins: [createVuetify()], stubs: { VDialog } },
  })

beforeEach(() => {
  signInForTest()
  sent.length = 0
})

it('keeps each kind of pin with its rows, and leaves out what says nothing', async () => {
  const wrapper = show(joint)
  const inputs = wrapper.findAll('input')
  expect(inputs.map(({ element }) => element.value)).toEqual(['1/2 bolt', '3/4 wrench', '', 'clevis pin', '', '3-5'])
  await inputs[5]?.setValue('9')
  await wrapper.get('form').trigger('submit')
  await flushPromises()
  expect(sent).toEqual([])
  expect(wrapper.text()).toContain('Rows from 1 to 8')
  await inputs[5]?.setValue('3 to 4')
  await wrapper
    .findAll('button')
    .find((of) => of.text() === 'Add another pin')
    ?.trigger('click')
  await wrapper.get('form').trigger('submit')
  await flushPromises()
  expect(sent).toEqual([
    [
      '/api/planters/{planter}/joints/{step}',
      { planter: 7, step: 'gauge_wheel' },
      {
        variants: [
          { rows: [], pin: '1/2 bolt', tools: '3/4 wrench' },
          { rows: [3, 4], pin: 'clevis pin', tools: '' },
        ],
        revision: 2,
      },
    ],
  ])
  expect(wrapper.emitted('close')).toHaveLength(1)
})
