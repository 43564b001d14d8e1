import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { createVuetify } from 'vuetify'
import { signInForTest } from '@/testing'

const { deliver } = vi.hoisted(() => ({ deliver: vi.fn() }))
vi.mock('@/offline/outbox', () => ({ useOutbox: () => ({ deliver }) }))
const { default: StandForm } = await import('./StandForm.vue')

function show() {
  const form = mount(StandForm, {
    props: { planterId: 1, rowCount: 4, row: 2, 'onUpdate:row': (row: number) => form.setProps({ row }) },
    global: { plugins: [createVuetify()] },
  })
  const plants = form.findAll('input')[0]!
  const save = async () => {
    await form.get('form').trigger('submit')
    await flushPromises()
  }
  return { form, plants, save }
}

beforeEach(() => {
  localStorage.setItem(
    'ustrel.stand-count-1',
    JSON.stringify({
      field: 'Kiln Piece',
      planted_on: '2026-04-20',
      length: 17.4,
      population: null,
      germination: null,
    }),
  )
  deliver.mockReset().mockResolvedValue(undefined)
  signInForTest()
})

it('goes on to the next row, empty, once a row is saved', async () => {
  const { form, plants, save } = show()
  await plants.setValue('29')
  await save()
  expect(deliver.mock.lastCall?.[0].body).toMatchObject({ row: 2, plants: 29 })
  expect(form.text()).toContain('Count row 3')
  expect(plants.element.value).toBe('')
})

it('leaves what was typed for the next row while the last one was being saved', async () => {
  const { form, plants, save } = show()
  let answered = () => {}
  deliver.mockReturnValueOnce(new Promise<void>((resolve) => (answered = resolve)))
  await plants.setValue('29')
  await save()
  await plants.setValue('8')
  answered()
  await flushPromises()
  expect(form.text()).toContain('Count row 3')
  expect(form.text()).toContain('Row 2: 29 plants, saved.')
  expect(plants.element.value).toBe('8')
  await save()
  expect(deliver.mock.lastCall?.[0].body).toMatchObject({ row: 3, plants: 8 })
})
