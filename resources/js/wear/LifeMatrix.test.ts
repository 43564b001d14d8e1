import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import type { PlaceForecast } from '@/api/types'
import { bladeCheck, forecastOf, signInForTest } from '@/testing'
import LifeMatrix from './LifeMatrix.vue'
import OddsList from './OddsList.vue'

const place = (row: number, fields: Partial<PlaceForecast> = {}) =>
  forecastOf({ row, size_mm: 374.65, left_acres: { p10: 310.2, p50: 420, p90: 560.7 }, ...fields })
const gone = { p10: 0, p50: 0, p90: 0 }
const places = [
  place(1, { grown: true }),
  place(2, { chance: 0.3, standing: 'may_not_last' }),
  place(3, { standing: 'hardly_lasts', chance: 0.8, due_on: '2026-05-04', outliers: ['x'] }),
  place(4, { standing: 'at_limit', left_m: gone, left_acres: gone }),
  place(5, { standing: 'nominal', thin: true, chance: null, left_acres: { p10: null, p50: 900, p90: null } }),
]

describe('the planter by life left', () => {
  beforeEach(() => signInForTest())

  const matrix = () =>
    mount(LifeMatrix, {
      props: {
        planter: { id: 1, sections: [2, 4] },
        forecast: {
          plan: null,
          watch_chance: 0.2,
          places,
          grow_back: [],
          glance: [{ station: 'opener_blades' as const, places: [0, 1, 2, 3, 4, null] }],
        },
        board: {
          checks: [{ ...bladeCheck, figures: { ...bladeCheck.figures, life: bladeCheck.figures.new! } }],
          row_checks: [],
          ribbon: Array.from({ length: 6 }, (_, at) => ({
            row: at + 1,
            verdict: 'sound' as const,
            life_left: at / 10,
            checked: 1,
            ...(at === 5 ? { parked: true } : {}),
          })),
        },
      },
      global: { stubs: { RouterLink: { template: '<a><slot /></a>' }, VIcon: true } },
    })
  const cells = (wrapper: ReturnType<typeof matrix>) => wrapper.findAll('tbody td button')

  it('heads each row with its own mark, and says it', () => {
    const heads = matrix().findAll('thead [aria-label]')
    expect(heads.map((head) => head.attributes('aria-label'))).toEqual([
      'Row 1: Sound, 0% life left in the worst part',
      ...[1, 2, 3, 4].map((tenths) => `Row ${tenths + 1}: Sound, ${tenths}0% life left in the worst part`),
      'Row 6: parked',
    ])
    expect(heads.at(-1)?.text()).toBe('6parked')
  })

  it('says in words how each place stands, with its size, what is left and its odds', () => {
    const row = 'Opener blade diameter left'
    const left = '14 3/4 in, 310 – 561 ac left'
    expect(cells(matrix()).map((cell) => cell.attributes('aria-label'))).toEqual([
      `Row 1, ${row}: lasts, ${left}, about 1 in 10 (10%) to reach its limit this season, changed?`,
      `Row 2, ${row}: may not last, ${left}, about 1 in 3 (30%) to reach its limit this season`,
      `Row 3, ${row}: hardly lasts, ${left}, about 4 in 5 (80%) to reach its limit this season`,
      `Row 4, ${row}: at its limit, 14 3/4 in, none left, about 1 in 10 (10%) to reach its limit this season`,
      `Row 5, ${row}: by nominal life, 14 3/4 in, about 900 ac left`,
    ])
  })

  it('shows the acres left, unfolds into the sides, and opens what was measured', async () => {
    const wrapper = matrix()
    expect(cells(wrapper).map((cell) => cell.text())).toEqual(['?420', '◐420', '▲420', '▲none', '○900'])
    await cells(wrapper)[2]?.trigger('click')
    expect(wrapper.emitted('open')).toEqual([[places[2]]])
    await wrapper.get('button[aria-expanded]').trigger('click')
    expect(wrapper.findAll('tbody th').map((head) => head.text())).toEqual([
      'Opener blades',
      'diameter left',
      'diameter right',
    ])
  })
})

describe('what will not make the season', () => {
  beforeEach(() => signInForTest())

  it('says odds, day and doubt, and what to do about what is at its limit', async () => {
    const wrapper = mount(OddsList, { props: { places: places.slice(2, 4), checkOf: () => bladeCheck } })
    const [third, fourth] = wrapper.findAll('li').map((line) => line.text().replace(/\s+/g, ' '))
    expect(third).toMatch(/^80%Row 3 opener blade diameter left .*310 – 561 ac left, about May 4, 2026; one reading/)
    expect(fourth).toMatch(/^at its limitRow 4 .*change or adjust before planting$/)
    await wrapper.get('button').trigger('click')
    expect(wrapper.emitted('open')).toEqual([[places[2]]])
  })

  it('says that all makes it where all does', () => {
    expect(mount(OddsList, { props: { places: [], checkOf: () => bladeCheck } }).text()).toContain('to last the season')
  })
})
