import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import type { PlaceForecast } from '@/api/types'
import { bladeCheck, forecastOf, signInForTest } from '@/testing'
import LifeMap from './LifeMap.vue'
import OddsList from './OddsList.vue'

const place = (row: number, fields: Partial<PlaceForecast> = {}) =>
  forecastOf({ row, size_mm: 374.65, left_acres: { p10: 310.2, p50: 420, p90: 560.7 }, ...fields })
const gone = { p10: 0, p50: 0, p90: 0 }
const places = [
  place(1),
  place(2, { chance: 0.3, standing: 'may_not_last' }),
  place(3, { standing: 'hardly_lasts', chance: 0.8, due_on: '2026-05-04', outliers: ['x'] }),
  place(4, { standing: 'at_limit', left_m: gone, left_acres: gone }),
  place(5, { standing: 'nominal', thin: true, chance: null, left_acres: { p10: null, p50: 900, p90: null } }),
]

describe('the planter by life left', () => {
  beforeEach(() => signInForTest())

  const map = () => mount(LifeMap, { props: { places, check: bladeCheck, rowCount: 6, sections: [2, 4] } })

  it('says in a word how each place stands', () => {
    const named = () =>
      map()
        .findAll('button')
        .map((cell) => cell.attributes('aria-label'))
        .filter((name) => name?.includes('left'))
    expect(named()).toEqual([
      'Row 1 left: lasts',
      'Row 2 left: may not last',
      'Row 3 left: hardly lasts',
      'Row 4 left: at its limit',
      'Row 5 left: by nominal life',
      'Row 6 left: not measured',
    ])
  })

  it('shows size, acres and odds, no odds where there are none to tell, and opens what was measured', async () => {
    const wrapper = map()
    const cell = (row: number) => wrapper.get(`[aria-label^="Row ${row} left"]`)
    expect(cell(1).text()).toContain('310 – 561 ac')
    expect(cell(1).get('.odds').text()).toBe('10%')
    expect(cell(4).find('.odds').exists()).toBe(false)
    expect(cell(5).text()).toContain('about 900 ac')
    expect(cell(6).attributes('disabled')).toBeDefined()
    await cell(3).trigger('click')
    expect(wrapper.emitted('open')).toEqual([[places[2]]])
    expect(wrapper.findAll('.column').map((column) => column.classes('starts'))).toEqual([
      false,
      false,
      true,
      false,
      false,
      false,
    ])
  })
})

describe('what will not make the season', () => {
  beforeEach(() => signInForTest())

  it('says odds, day and doubt, and what to do about what is at its limit', async () => {
    const wrapper = mount(OddsList, { props: { places: places.slice(2, 4), checkOf: () => bladeCheck } })
    const [third, fourth] = wrapper.findAll('li').map((line) => line.text().replace(/\s+/g, ' '))
    expect(third).toMatch(/^80%Row 3 opener blade diameter left .*310 – 561 ac left, about May 4, 2026; a reading/)
    expect(fourth).toMatch(/^at its limitRow 4 .*change or adjust before planting$/)
    await wrapper.get('button').trigger('click')
    expect(wrapper.emitted('open')).toEqual([[places[2]]])
  })

  it('says that all makes it where all does', () => {
    expect(mount(OddsList, { props: { places: [], checkOf: () => bladeCheck } }).text()).toContain('makes it')
  })
})
