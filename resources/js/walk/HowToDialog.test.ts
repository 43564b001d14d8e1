import { mount } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import { ref } from 'vue'
import { createVuetify } from 'vuetify'
import type { Check, CheckKey } from '@/api/types'
import { guideOf } from '@/testing'
import { learnNames } from '@/words'
import HowToDialog from './HowToDialog.vue'
import HowToLine from './single/HowToLine.vue'

vi.mock('@/spec/manuals', () => ({ useManuals: () => ({ data: ref([]) }) }))

const guide = guideOf(1)
const blade = guide.checks.find(({ key }) => key === 'opener_blade_diameter') as Check

const VDialog = { name: 'VDialog', emits: ['update:modelValue'], template: '<div><slot /></div>' }
const show = () =>
  mount(HowToDialog, {
    props: { planterId: 1, check: blade, sheet: guide.planter.spec_sheet },
    global: { plugins: [createVuetify()], stubs: { VDialog } },
  })

it('says over the walk what to mind and how the check in hand is made, and closes', () => {
  const wrapper = show()
  expect(wrapper.text()).toContain('Mind your hands')
  expect(wrapper.findAll('li')).toHaveLength(3)
  wrapper.getComponent(VDialog).vm.$emit('update:modelValue', false)
  expect(wrapper.emitted('close')).toHaveLength(1)
})

it('says in one line what to look for, of the shop’s own checks in its own words', () => {
  const line = mount(HowToLine, { props: { check: blade.key } }).text()
  expect(line).not.toBe('')
  expect(line).toBe(show().findAll('li').at(-1)?.text())

  const own = 'own_1' as CheckKey
  learnNames([{ key: own, own: { name: 'Chain slack', how: 'Press in the middle.' }, rule: 'at_most' }])
  expect(mount(HowToLine, { props: { check: own } }).text()).toBe('Press in the middle.')
})
