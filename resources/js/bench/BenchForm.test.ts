import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { createVuetify } from 'vuetify'
import { queries } from '@/api/queries'
import { signInForTest } from '@/testing'

const { POST, GET } = vi.hoisted(() => ({ POST: vi.fn(), GET: vi.fn() }))
vi.mock('@/api/client', async (original) => ({ ...(await original<object>()), api: { POST, GET } }))
const { default: BenchForm } = await import('./BenchForm.vue')

const last = { stage: 'pre', places: 300, figures: null, seed: 'Lot 7', disc: '30 cells', air: 14, run_in: 50 }
const show = () =>
  mount(BenchForm, {
    props: { planterId: 1, row: 2, rowCount: 8, last: last as never },
    global: { plugins: [createVuetify(), [VueQueryPlugin, { queryClient: queries }]] },
  })
type Form = ReturnType<typeof show>
const field = (form: Form, label: string) => {
  const id = form.findAll('label').find((one) => one.text() === label && one.attributes('for'))
  return form.get(`#${id?.attributes('for')}`)
}
const button = (form: Form, text: string) => form.findAll('button').find((one) => one.text() === text)
const sent = () => POST.mock.lastCall?.[1].body

beforeEach(() => {
  localStorage.clear()
  GET.mockReset().mockResolvedValue({ data: { lots: [], discs: [] }, response: new Response() })
  POST.mockReset().mockResolvedValue({ data: { receipts: [] }, response: new Response() })
  signInForTest()
})

describe('a run whose vacuum is changed on the way', () => {
  it('saves the first part, stays on the row and saves the second as part of it', async () => {
    const form = show()
    await field(form, 'Skips').setValue('4')
    await field(form, 'Doubles').setValue('2')
    await button(form, 'Save, vacuum changed')?.trigger('click')
    await flushPromises()
    const first = sent()
    expect(first).toMatchObject({ row: 2, air: 14, skips: 4, run_in: 50, part_of: null })
    expect(form.emitted('next')).toBeUndefined()
    expect(form.get('.due').text()).toContain('enter the new vacuum')
    await field(form, 'Air, in H₂O').setValue('9')
    await field(form, 'Skips').setValue('1')
    await field(form, 'Doubles').setValue('7')
    await form.get('form').trigger('submit')
    await flushPromises()
    expect(sent()).toMatchObject({ row: 2, air: 9, skips: 1, doubles: 7, run_in: null, part_of: first.id })
    expect(form.emitted('next')).toHaveLength(1)
  })
  it('is not offered before the vacuum is typed', async () => {
    const form = show()
    await field(form, 'Air, in H₂O').setValue('')
    expect(button(form, 'Save, vacuum changed')?.attributes('disabled')).toBeDefined()
  })
})

it('sends how the meter is set up to the stand, too', async () => {
  const form = show()
  await button(form, 'Stand')?.trigger('click')
  await field(form, 'Cells').setValue('30')
  await field(form, 'Population').setValue('34,000')
  await field(form, 'Speed').setValue('5')
  await field(form, 'Singulator').setValue('step 2')
  await form.get('form').trigger('submit')
  await flushPromises()
  expect(sent()).toMatchObject({ population: 34_000, mph: 5, singulator: 'step 2', run_in: 50, turns: null })
})

describe('a lot that runs for the first time', () => {
  const start = {
    singulator: 'step 3',
    air: 11.4,
    way: null,
    by: 'measured',
    skips: 0.008,
    doubles: 0.0061,
    runs: 6,
    seeds: ['Flat 8', 'Flat 9'],
  }
  const choose = async (form: Form, disc = '30 cells') => {
    await flushPromises()
    await field(form, 'Disc or plate').setValue(disc)
    await field(form, 'Seed lot').setValue('Flat 10')
    await flushPromises()
  }
  beforeEach(() => {
    queries.clear()
    const lots = [{ id: 5, name: 'Flat 10', size: null, size_class: '', discs: [] }]
    const discs = [{ id: 2, name: '30 cells', cells: 30 }]
    GET.mockImplementation((path: string) =>
      Promise.resolve({ data: path.endsWith('start') ? { start } : { lots, discs }, response: new Response() }),
    )
  })
  const asked = () => GET.mock.calls.filter(([path]) => path.endsWith('start')).map(([, of]) => of.params.query)

  it('starts as the shop ran seed of its size, by one tap', async () => {
    const form = show()
    await choose(form)
    expect(asked()).toEqual([{ row: 2, lot: 5, disc: '30 cells' }])
    expect(form.text()).toContain(
      'Start with singulator step 3, 11.4 in H₂O: from 6 runs on this disc with seed of the same measured size (Flat 8, Flat 9). Expect 0.8% skips, 0.6% doubles.',
    )
    await button(form, 'Use these settings')?.trigger('click')
    await flushPromises()
    expect(button(form, 'Use these settings')).toBeUndefined()
    await field(form, 'Skips').setValue('1')
    await field(form, 'Doubles').setValue('1')
    await form.get('form').trigger('submit')
    await flushPromises()
    expect(sent()).toMatchObject({ seed: 'Flat 10', air: 11.4, singulator: 'step 3' })
  })
  it('is told nothing of a disc that the shop does not have, nor of the lot that ran last', async () => {
    const form = show()
    await choose(form, 'some other disc')
    expect(asked()).toEqual([])
    const again = mount(BenchForm, {
      props: { planterId: 1, row: 2, rowCount: 8, last: { ...last, seed: 'Flat 10' } as never },
      global: { plugins: [createVuetify(), [VueQueryPlugin, { queryClient: queries }]] },
    })
    await flushPromises()
    expect(asked()).toEqual([])
    expect(again.text()).not.toContain('Start with')
  })
})
