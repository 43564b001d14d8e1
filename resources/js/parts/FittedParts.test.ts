import { mount } from '@vue/test-utils'
import { beforeEach, describe, expect, it } from 'vitest'
import { createVuetify } from 'vuetify'
import type { Fitting, Ledger, PlaceForecast, RowRecord } from '@/api/types'
import { fittingOf, forecastOf, signInForTest } from '@/testing'
import FittedParts from './FittedParts.vue'

const slots: Ledger['slots'] = [
  {
    slot: 'opener_blade',
    station: 'opener_blades',
    sides: ['left', 'right'],
    rows: null,
    check: 'opener_blade_diameter',
    measured: true,
  },
  { slot: 'seed_tube', station: 'seed_tube', sides: ['centre'], rows: null, check: 'seed_tube', measured: false },
]

function fitted(fittings: Fitting[], places: PlaceForecast[] = [], shelf: Fitting[] = []) {
  const record = { row: 1, fittings, run_m: 160_934.4, forecast: { places } } as unknown as RowRecord
  const wrapper = mount(FittedParts, {
    props: { record, ledger: { slots, fitted: fittings, shelf } },
    global: { plugins: [createVuetify()] },
  })
  const lines = () => wrapper.findAll('li > div:first-child').map((one) => one.text().replace(/\s+/g, ' '))
  const press = (line: number, name: string) =>
    wrapper
      .findAll('li')
      [line]!.findAll('button')
      .find((one) => one.text() === name)
      ?.trigger('click')
  return { wrapper, lines, press }
}

describe('fitted parts of a row', () => {
  beforeEach(() => signInForTest())

  it('says of each slot what is in it, since when, how far it has run and how long it will last', () => {
    const { lines, wrapper } = fitted([fittingOf({ size_mm: null })], [forecastOf({ chance: 0.59 })])
    expect(wrapper.text()).toContain('This row has run 100 mi of furrow')
    expect(lines()).toHaveLength(1)
    expect(lines()[0]).toContain('Blade, plain')
    expect(lines()[0]).toContain('since Mar 1, 2025 by Wren, 50 mi of furrow')
    expect(lines()[0]).toContain('10 – 1,200 ac left; about 3 in 5 (59%) to reach the limit this season')
  })

  it('goes by what is in the slot now, not by what came out of it', () => {
    const out = fittingOf({ id: 'old', part: 'Blade, old', removed_at: '2025-03-01T10:00:00.000Z' })
    const { lines } = fitted([out, fittingOf({ part: 'Blade, new', used: true, size_mm: null })])
    expect(lines()).toEqual([expect.stringContaining('Blade, new, used')])
  })

  it('owns up where nothing is on record, and gives no odds for what is at its limit', async () => {
    const spent = { p10: 0, p50: 0, p90: 0 }
    const { lines, wrapper } = fitted([], [forecastOf({ left_m: spent, left_acres: spent, chance: 1 })])
    expect(lines()).toEqual([expect.stringContaining('not recordednone left')])
    expect(lines()[0]).not.toContain('%')
    await wrapper
      .findAll('button')
      .find((one) => one.text() === 'All 3 slots')!
      .trigger('click')
    expect(lines()).toHaveLength(3)
  })

  it('asks for the change, the move or the correction of the very part', async () => {
    const blade = fittingOf({})
    const spare = fittingOf({ id: 'spare', part: null, slot: 'seed_tube', removed_at: '2025-06-01T10:00:00.000Z' })
    const { wrapper, press, lines } = fitted([blade], [forecastOf()], [spare, { ...spare, id: 'other', row: 2 }])
    for (const name of ['Wear', 'Move', 'Correct', 'Change']) await press(0, name)
    expect(wrapper.emitted('wear')).toEqual([[forecastOf()]])
    expect(wrapper.emitted('move')).toEqual([[blade]])
    expect(wrapper.emitted('correct')).toEqual([[blade]])
    expect(wrapper.emitted('change')).toEqual([[{ slot: 'opener_blade', side: 'left' }]])
    // Only what came off this row lies on its shelf.
    expect(lines()).toHaveLength(2)
    expect(lines()[1]).toContain('removed Jun 1, 2025 after 50 mi')
    await press(1, 'Fit it')
    expect(wrapper.emitted('move')?.[1]).toEqual([spare])
  })
})
