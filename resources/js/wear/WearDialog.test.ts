import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it, vi } from 'vitest'
import { ref } from 'vue'
import { createVuetify } from 'vuetify'
import type { PlaceForecast } from '@/api/types'
import { bladeCheck, forecastOf, signInForTest } from '@/testing'

const chart = vi.hoisted(() => ({ error: null as Error | null }))
vi.mock('@/wear/queries', () => ({ useWearChart: () => ({ data: ref(undefined), error: ref(chart.error) }) }))
const { default: WearDialog } = await import('./WearDialog.vue')

const MILE = 1609.344

function dialog(fields: Partial<PlaceForecast>) {
  const wrapper = mount(WearDialog, {
    props: { planterId: 1, place: forecastOf(fields), check: bladeCheck },
    global: { plugins: [createVuetify()], stubs: { VDialog: { template: '<div><slot /></div>' } } },
  })
  const rows = wrapper.findAll('tbody tr').map((row) => row.findAll('th, td').map((cell) => cell.text()))
  const told = Object.fromEntries(
    wrapper.findAll('dl > div').map((pair) => [pair.get('dt').text(), pair.get('dd').text().replace(/\s+/g, ' ')]),
  )
  return { wrapper, rows, told, says: wrapper.text().replace(/\s+/g, ' ') }
}

describe('the wear of one part', () => {
  beforeEach(() => {
    signInForTest('mm')
    chart.error = null
  })

  it('says how far nine in ten, half and one in ten of such parts get', () => {
    const left_m = { p10: 40_000, p50: 80_400, p90: null }
    const left_acres = { p10: 70.4, p50: 1106.7, p90: null }
    const { rows, told } = dialog({ left_m, left_acres, chance: 0.43, due_on: '2026-05-12', use_m: 312_000 })
    expect(rows).toEqual([
      ['9 in 10', '28 ha', '40 km'],
      ['half', '448 ha', '80 km'],
      ['1 in 10', 'too late to tell', 'too late to tell'],
    ])
    expect(told).toEqual({
      'Expected now': '374 mm',
      'Has run': '312 km of furrow',
      'Limit this season': 'about 2 in 5 (43%), about May 12, 2026',
    })
  })

  it('goes mostly by the nominal life where little is on record, and says so', () => {
    signInForTest()
    const { rows, told, says } = dialog({
      thin: true,
      chance: 0.02,
      left_m: { p10: 150 * MILE, p50: 300 * MILE, p90: 900 * MILE },
      left_acres: { p10: 206, p50: 412.3, p90: 1237 },
    })
    expect(rows[1]).toEqual(['half', '412 ac', '300 mi'])
    expect(told).toMatchObject({ 'Limit this season': 'about 1 in 50 (2%)' })
    expect(says).toContain('mostly the spec sheet’s nominal life')
  })

  it('asks whether a part was changed that reads larger than it can be', () => {
    const grown = dialog({ grown: true, outliers: ['r1'] })
    expect(grown.says).toContain('Was the part changed? If so, record the change')
    expect(grown.says).toContain('It was changed')
    expect(dialog({ grown: true, outliers: ['r1'], slot: null }).says).toContain('Measure again to be sure')
    expect(dialog({}).says).not.toContain('Was it changed?')
  })

  it('gives no day for what is at its limit already', () => {
    const none = { p10: 0, p50: 0, p90: 0 }
    const { told, rows } = dialog({ left_m: none, left_acres: none, chance: 1, due_on: '2026-03-01' })
    expect(rows).toEqual([])
    expect(told).toMatchObject({ Left: 'none', 'Limit this season': 'almost certain (over 99%)' })
  })

  it('owns up to readings that do not fit', () => {
    expect(dialog({ outliers: ['r1'] }).says).toContain(
      'One reading does not fit the rest and hardly weighs; it is drawn',
    )
    expect(dialog({ outliers: ['r1', 'r2'] }).says).toContain(
      '2 readings do not fit the rest and hardly weigh; they are drawn',
    )
    expect(dialog({}).says).not.toContain('not fit the rest')
  })

  it('leads to the row, and to a change where there is a part to change', async () => {
    chart.error = new Error('down')
    const { wrapper, says } = dialog({})
    expect(says).toContain('The chart did not load. Try again.')
    for (const button of wrapper.findAll('button')) await button.trigger('click')
    expect(Object.keys(wrapper.emitted())).toEqual(expect.arrayContaining(['close', 'row', 'change']))
    expect(dialog({ slot: null }).says).not.toContain('Change this part')
  })
})
