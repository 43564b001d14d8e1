import { mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { createVuetify } from 'vuetify'
import { guideOf } from '@/testing'
import PackChoice from './start/PackChoice.vue'
import WalkChoice from './WalkChoice.vue'

function show() {
  const guide = guideOf(2)
  const wrapper = mount(WalkChoice, {
    props: { walk: guide.walk, checks: guide.checks, view: 'station' },
    global: {
      plugins: [createVuetify()],
      stubs: { VDialog: { template: '<div><slot /></div>' }, PackChoice: true },
    },
  })
  const press = (name: string) =>
    wrapper
      .findAll('button')
      .find((one) => one.text() === name)
      ?.trigger('click')
  return { wrapper, press }
}

it('changes the order of an open walk, and nothing else of it', async () => {
  const { wrapper, press } = show()
  await press('Snake')
  expect(wrapper.emitted('change')).toEqual([[{ order: 'snake' }]])
  expect(wrapper.emitted('update:view')).toBeUndefined()
})

it('changes what is walked', () => {
  const { wrapper } = show()
  wrapper.getComponent(PackChoice).vm.$emit('update:modelValue', ['opener_blade_diameter'])
  expect(wrapper.emitted('change')).toEqual([[{ checks: ['opener_blade_diameter'] }]])
})

it('shows one check at a time on this device only, and goes back to the walk', async () => {
  const { wrapper, press } = show()
  await press('One by one')
  expect(wrapper.emitted('update:view')).toEqual([['single']])
  expect(wrapper.emitted('change')).toBeUndefined()
  await press('Continue')
  expect(wrapper.emitted('close')).toHaveLength(1)
})
