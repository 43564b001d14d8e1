import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { createVuetify } from 'vuetify'
import { VAutocomplete } from 'vuetify/components'
import type { SettingMade } from '@/api/types'
import { signInForTest } from '@/testing'

const { deliver } = vi.hoisted(() => ({ deliver: vi.fn() }))
vi.mock('@/offline/outbox', () => ({ useOutbox: () => ({ deliver }) }))
const made = (of: Partial<SettingMade>): SettingMade =>
  ({
    id: 'old',
    key: 'closing',
    row: 0,
    value: '2',
    figure: null,
    field: 'East',
    crop: 'popcorn',
    soil: 'clay',
    residue: null,
    ...of,
  }) as SettingMade
const told = vi.hoisted(() => ({ answer: { takes: [] as unknown[], leaves: [] as unknown[] } }))
vi.hoisted(() => {
  globalThis.fetch = (async ({ url }: Request) =>
    Response.json(
      url.includes('/settings/for/') ? told.answer : [1, 2].map((id) => ({ id, farm: 'Ardle', name: `P${id}` })),
    )) as typeof fetch
})
const { queries } = await import('@/api/queries')
const { default: SendSettings } = await import('./SendSettings.vue')

beforeEach(() => {
  signInForTest()
  queries.clear()
  deliver.mockReset().mockResolvedValue(undefined)
})

it('sends what the other planter takes, as new entries with their ground, and names what stays', async () => {
  told.answer = {
    takes: [made({ row: 3 }), made({ key: 'population', figure: 31_000, value: '31,000' })],
    leaves: [{ said: 'sprockets 30/20', why: 'it has none' }],
  }
  const wrapper = mount(SendSettings, {
    props: { planterId: 1 },
    global: { plugins: [createVuetify(), [VueQueryPlugin, { queryClient: queries }]] },
  })
  await flushPromises()
  // Not to itself.
  expect(wrapper.getComponent(VAutocomplete).props('items')).toEqual([{ value: 2, title: 'Ardle, P2' }])
  wrapper.getComponent(VAutocomplete).vm.$emit('update:modelValue', 2)
  await flushPromises()
  expect(wrapper.text()).toContain('Not sent: sprockets 30/20 (it has none).')
  await wrapper.get('button').trigger('click')
  await flushPromises()
  const item = deliver.mock.lastCall?.[0]
  expect(item).toMatchObject({ what: 'setting', planter: 2 })
  expect(item.body.settings).toMatchObject([
    { key: 'closing', row: 3, value: '2', field: 'East', crop: 'popcorn', soil: 'clay' },
    { key: 'population', row: 0, figure: 31_000, units: 'in' },
  ])
  expect(item.body.settings.map(({ id }: { id: string }) => id)).not.toContain('old')
  expect(wrapper.get('[role=status]').text()).toBe('Sent to Ardle, P2.')
})
