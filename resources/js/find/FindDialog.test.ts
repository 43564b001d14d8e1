import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { signInForTest } from '@/testing'
import FindDialog from './FindDialog.vue'

const push = vi.hoisted(() => vi.fn(() => Promise.resolve()))
const answer = vi.hoisted(() => ({ of: (key: string): Promise<unknown> => Promise.resolve([key]) }))
vi.mock('vue-router', async (original) => ({ ...(await original()), useRouter: () => ({ push }) }))
vi.mock('@/offline/remember', async (original) => ({
  ...(await original()),
  remembered: (key: string) => answer.of(key),
}))

const yard = [{ id: 1, name: 'Quill Bottom', row_count: 16 }]
const listed = [
  { kind: 'seed_lot', title: 'Popcorn 7', detail: '', key: '9' },
  { kind: 'field', title: 'Kiln Piece', detail: 'popcorn', planter_id: 1, key: '' },
]

async function dialog() {
  const wrapper = mount(FindDialog, {
    props: { planterId: 1 },
    global: {
      plugins: [[VueQueryPlugin, { queryClient: new QueryClient({ defaultOptions: { queries: { retry: false } } }) }]],
      stubs: { VDialog: { template: '<div><slot /></div>' }, VIcon: true },
    },
  })
  await flushPromises()
  const input = wrapper.get('[role=combobox]')
  const type = (text: string) => input.setValue(text)
  const press = (key: string) => input.trigger('keydown', { key })
  const options = () => wrapper.findAll('[role=option]').map((one) => one.text().replaceAll(/\s+/g, ' '))
  const marked = () => wrapper.findAll('[aria-selected=true]').map((one) => one.text().replaceAll(/\s+/g, ' '))
  return { wrapper, input, type, press, options, marked }
}

beforeEach(() => {
  signInForTest()
  push.mockClear()
  answer.of = (key) => Promise.resolve(key.endsWith('yard') ? yard : listed)
})

it('is worked by keys alone: arrows choose and go round, Enter goes and closes', async () => {
  const { wrapper, input, type, press, options, marked } = await dialog()
  expect(options()).toEqual([])
  await type('popcorn')
  expect(options()).toEqual(['Seed lotPopcorn 7', 'FieldKiln Piece popcorn'])
  expect(marked()).toEqual(['Seed lotPopcorn 7'])
  await press('ArrowDown')
  expect(marked()).toEqual(['FieldKiln Piece popcorn'])
  expect(input.attributes('aria-activedescendant')).toBe(wrapper.get('[aria-selected=true]').attributes('id'))
  await press('ArrowDown')
  expect(marked()).toEqual(['Seed lotPopcorn 7'])
  await press('ArrowUp')
  await press('Enter')
  await flushPromises()
  expect(push).toHaveBeenCalledExactlyOnceWith({ name: 'season', params: { planter: 1 } })
  expect(wrapper.emitted('close')).toHaveLength(1)
})

it('starts at the best again with each letter, and goes by a tap', async () => {
  const { wrapper, type, press, marked } = await dialog()
  await type('popcorn')
  await press('ArrowDown')
  await type('popcorn 7')
  expect(marked()).toEqual(['Seed lotPopcorn 7'])
  await wrapper.get('[role=option]').trigger('click')
  await flushPromises()
  expect(push).toHaveBeenCalledWith({ name: 'seed', query: { lot: '9' } })
})

it('opens a manual beside Ustrel, and stays where it was', async () => {
  const open = vi.spyOn(window, 'open').mockReturnValue(null)
  answer.of = (key) =>
    Promise.resolve(
      key.endsWith('yard') ? yard : [{ kind: 'manual', title: 'Row units', detail: 'Long sheet', key: '4' }],
    )
  const { wrapper, type, press, options } = await dialog()
  await type('manual row')
  expect(options()[0]).toBe('ManualRow units Long sheet')
  await press('Enter')
  await flushPromises()
  expect(open).toHaveBeenCalledExactlyOnceWith('/api/manuals/4/file', '_blank', 'noopener')
  expect(push).not.toHaveBeenCalled()
  expect(wrapper.emitted('close')).toHaveLength(1)
  open.mockRestore()
})

it('says that there is nothing, and goes nowhere', async () => {
  const { wrapper, type, press } = await dialog()
  await type('xyzzy')
  expect(wrapper.text()).toContain('Nothing found.')
  await press('Enter')
  expect(push).not.toHaveBeenCalled()
})

it('finds screens and rows where the list did not load, and says so', async () => {
  answer.of = (key) => (key.endsWith('yard') ? Promise.resolve(yard) : Promise.reject(new Error('no signal')))
  const { wrapper, type, options } = await dialog()
  await type('row 12')
  await vi.waitFor(() => expect(wrapper.text()).toContain('Only screens, rows and help'))
  expect(options()[0]).toBe('RowRow 12 Quill Bottom')
})
