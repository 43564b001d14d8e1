import { QueryClient, VueQueryPlugin } from '@tanstack/vue-query'
import { flushPromises, mount, RouterLinkStub } from '@vue/test-utils'
import { beforeEach, expect, it, vi } from 'vitest'
import { signInForTest } from '@/testing'
import TodayScreen from './TodayScreen.vue'

const answer = vi.hoisted(() => ({ now: (): Promise<unknown> => Promise.resolve() }))
vi.mock('@/offline/remember', async (original) => ({ ...(await original()), remembered: () => answer.now() }))

const shown = () =>
  mount(TodayScreen, {
    global: {
      plugins: [[VueQueryPlugin, { queryClient: new QueryClient({ defaultOptions: { queries: { retry: false } } }) }]],
      stubs: { AppBar: true, RouterLink: RouterLinkStub, VIcon: true, VBtn: { template: '<a><slot /></a>' } },
    },
  })

beforeEach(() => signInForTest())

it('shows at once that it loads', () => {
  answer.now = () => new Promise(() => undefined)
  expect(shown().find('[aria-label=Loading]').exists()).toBe(true)
})

it('says where there is nothing to do, and leads on', async () => {
  answer.now = () => Promise.resolve({ day: '2026-12-01', planters: [], deliveries: [] })
  const screen = shown()
  await flushPromises()
  expect(screen.find('h1').text()).toContain('Tuesday, December 1')
  expect(screen.text()).toContain('Nothing to do today.')
  expect(screen.text()).toContain('See all planters')
  expect(screen.find('[aria-label=Loading]').exists()).toBe(false)
})

it('has a list for each planter, with the days to planting, and one for deliveries', async () => {
  const item = { kind: 'walk', title: 'Finish the walk', detail: '', due: null, late: false }
  const planter = (id: number, days: number | null) => ({
    id,
    name: `Planter ${id}`,
    farm: '',
    planting_start: null,
    days_to_planting: days,
    items: [item],
  })
  answer.now = () =>
    Promise.resolve({
      day: '2026-12-01',
      planters: [planter(1, 23), planter(2, 1), planter(3, 0), planter(4, -2), planter(5, null)],
      deliveries: [{ ...item, kind: 'delivery', title: '8 parts arrive' }],
    })
  const screen = shown()
  await flushPromises()
  expect(screen.findAll('h2').map((of) => of.text().replaceAll(/\s+/g, ' '))).toEqual([
    'Planter 1 · 23 days to planting',
    'Planter 2 · 1 day to planting',
    'Planter 3 · planting starts today',
    'Planter 4',
    'Planter 5',
    'Deliveries',
  ])
  expect(screen.text()).not.toContain('Nothing to do today.')
})
