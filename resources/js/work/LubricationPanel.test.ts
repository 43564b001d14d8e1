import { VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { createVuetify } from 'vuetify'
import { queries } from '@/api/queries'
import { signInForTest } from '@/testing'

const { GET, PUT } = vi.hoisted(() => ({ GET: vi.fn(), PUT: vi.fn() }))
vi.mock('@/api/client', async (original) => ({ ...(await original<object>()), api: { GET, PUT } }))
const { default: LubricationPanel } = await import('./LubricationPanel.vue')

const hitch = {
  point: 'hitch',
  name: 'hitch',
  own: false,
  per: 'planter',
  minutes: 3,
  product: 'grease',
  rounds: 'both',
  acres: null,
  hours: 50,
  off: false,
  revision: 2,
}
async function panel() {
  const wrapper = mount(LubricationPanel, {
    global: { plugins: [createVuetify(), [VueQueryPlugin, { queryClient: queries }]] },
  })
  await flushPromises()
  const type = async (label: string, value: string) => {
    const found = wrapper.findAll('label[for]').find((one) => one.text().startsWith(label))
    await wrapper.get(`[id="${found?.attributes('for')}"]`).setValue(value)
  }
  const save = async () => {
    await wrapper.get('form').trigger('submit')
    await flushPromises()
    return PUT.mock.lastCall
  }
  return { wrapper, type, save }
}
const answered = (data: unknown, response = new Response()) => ({ data, response })

beforeEach(() => {
  queries.clear()
  GET.mockReset().mockResolvedValue(
    answered({ points: [hitch, { ...hitch, point: 'idlers', name: 'idlers', off: true }] }),
  )
  PUT.mockReset().mockResolvedValue(answered(hitch))
  signInForTest()
})

it('says what is lubricated, with what, when and how long it takes', async () => {
  const { wrapper } = await panel()
  expect(wrapper.findAll('li').map((one) => one.get('span').text())).toEqual([
    'grease, before and after planting, again after 50 h of planting, 3 min, the whole planter',
    'not lubricated',
  ])
})

it('shows and takes hectares where the shop works in them', async () => {
  signInForTest('mm')
  GET.mockResolvedValue(answered({ points: [{ ...hitch, acres: 59.3, hours: null }] }))
  const { wrapper, type, save } = await panel()
  expect(wrapper.get('li span').text()).toContain('again after 23.998 ha per row')
  await wrapper.get('[aria-label="Change hitch"]').trigger('click')
  await type('Again after, ha per row', '30')
  expect((await save())?.[1].body).toMatchObject({ acres: 74.1 })
})

it('changes a typical point over the revision that was seen, without a name of its own', async () => {
  const { wrapper, type, save } = await panel()
  await wrapper.get('[aria-label="Change hitch"]').trigger('click')
  await type('Again after hours', '40')
  const [path, { params, body }] = (await save()) ?? []
  expect(path).toBe('/api/lubrication/{point}')
  expect(params.path.point).toBe('hitch')
  expect(body).toMatchObject({ hours: 40, minutes: 3, revision: 2 })
  expect(body).not.toHaveProperty('name')
})

it('adds a point under an id that stays until it is taken', async () => {
  const { type, save } = await panel()
  await type('Point', 'Fold pins')
  await type('Minutes each', '2.5')
  PUT.mockRejectedValueOnce(new TypeError('lost'))
  const first = (await save())?.[1]
  const again = (await save())?.[1]
  expect(first.params.path.point).toMatch(/^[\da-f-]{36}$/)
  expect(again.params.path.point).toBe(first.params.path.point)
  expect(again.body).toMatchObject({ name: 'Fold pins', minutes: 2.5, per: 'row', rounds: 'both', revision: 0 })
  // The next one is another.
  await type('Point', 'Chain')
  await type('Minutes each', '1')
  expect((await save())?.[1].params.path.point).not.toBe(first.params.path.point)
})

it('lets a helper see and not change', async () => {
  const { useSession } = await import('@/session')
  useSession().me!.may = ['see', 'record']
  const { wrapper } = await panel()
  expect(wrapper.find('form').exists()).toBe(false)
  expect(wrapper.find('[aria-label="Change hitch"]').exists()).toBe(false)
})
