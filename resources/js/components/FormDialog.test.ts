import { mount } from '@vue/test-utils'
import { expect, it } from 'vitest'
import { createVuetify } from 'vuetify'
import { Refusal } from '@/api/client'
import FormDialog from './FormDialog.vue'

function show(props: object = {}) {
  const wrapper = mount(FormDialog, {
    props: { label: 'Meter', refusal: null, ...props },
    slots: { title: 'A meter', default: '<input name="serial" />', save: 'Save' },
    global: { plugins: [createVuetify()], stubs: { VDialog: { template: '<div><slot /></div>' } } },
  })
  const button = (name: string) => wrapper.findAll('button').find((one) => one.text() === name)
  return { wrapper, button }
}

it('saves once for a press of its button, and closes on the way back', async () => {
  const { wrapper, button } = show()
  await wrapper.get('form').trigger('submit')
  expect(wrapper.emitted('save')).toHaveLength(1)
  expect(wrapper.emitted('close')).toBeUndefined()
  await button('Cancel')?.trigger('click')
  expect(wrapper.emitted('close')).toHaveLength(1)
  expect(wrapper.emitted('save')).toHaveLength(1)
})

it('says what was wrong, and has no button to save with for who may not', () => {
  const refusal = new Refusal(422, 'Give the meter a number.')
  const { wrapper, button } = show({ refusal, canSave: false, back: 'Back' })
  expect(wrapper.text()).toContain('Give the meter a number.')
  expect(button('Save')).toBeUndefined()
  expect(button('Back')).toBeDefined()
})

it('takes no press while it cannot be saved', () => {
  expect(show({ disabled: true }).button('Save')?.attributes('disabled')).toBeDefined()
  expect(show().button('Save')?.attributes('disabled')).toBeUndefined()
})
