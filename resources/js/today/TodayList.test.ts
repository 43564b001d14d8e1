import { mount, RouterLinkStub } from '@vue/test-utils'
import { expect, it, vi } from 'vitest'
import type { TodayItem } from '@/api/types'
import TodayList from './TodayList.vue'

vi.setSystemTime('2026-12-01T12:00:00')

const item = (of: Partial<TodayItem>): TodayItem => ({
  kind: 'walk',
  title: 'Finish the walk',
  detail: '',
  due: null,
  late: false,
  ...of,
})
const list = (items: TodayItem[], planterId?: number) =>
  mount(TodayList, {
    props: { title: 'Long Acre', note: '', items, planterId },
    global: { stubs: { RouterLink: RouterLinkStub, VIcon: true } },
  })
const lines = (of: ReturnType<typeof list>) => of.findAll('li').map((line) => line.text().replaceAll(/\s+/g, ' '))

it('says by when, and what else there is to know', () => {
  const shown = list([
    item({ due: '2026-12-03', detail: '55% walked' }),
    item({ title: 'Order the parts', kind: 'deadline', due: '2026-11-29', late: true }),
    item({ title: 'Set the planting date', kind: 'no_date' }),
    item({ title: '8 parts arrive', kind: 'delivery', due: '2026-12-05' }),
    item({ title: '8 parts arrive', kind: 'delivery', due: '2026-11-30', late: true }),
  ])
  expect(lines(shown)).toEqual([
    'Finish the walkdue Thu, Dec 3 · 55% walked',
    'Order the partswas due Sun, Nov 29',
    'Set the planting date',
    '8 parts arriveSat, Dec 5',
    '8 parts arrivewas due Mon, Nov 30',
  ])
  expect(shown.findAll('.late')).toHaveLength(2)
})

it('leads to where each thing is done, on its planter', () => {
  const kinds = ['alarm', 'card', 'walk', 'decide', 'measure_again', 'deadline', 'no_date'] as const
  const links = list(
    kinds.map((kind) => item({ kind })),
    7,
  ).findAllComponents(RouterLinkStub)
  expect(links.map((link) => (link.props('to') as { name: string }).name)).toEqual([
    'board',
    'row-watch',
    'work',
    'walk',
    'decide',
    'walk',
    'season',
    'season',
  ])
  expect(links.every((link) => (link.props('to') as { params: { planter: number } }).params.planter === 7)).toBe(true)
})

it('leads to the orders where no planter is meant', () => {
  const [link] = list([item({ kind: 'delivery' })]).findAllComponents(RouterLinkStub)
  expect(link?.props('to')).toEqual({ name: 'store', params: {} })
})
