import { describe, expect, it } from 'vitest'
import type { Deadline, Season } from '@/api/types'
import { daysBetween, seasonEdit, typedSeason, weeksOf } from './season'

const season = {
  season: 2027,
  planting_start: '2027-04-20',
  planting_end: null,
  planned_acres: null,
  mph: 5.2,
  efficiency: 0.85,
  counts_fills: true,
  fill_minutes: 14,
  hours_a_day: null,
  fit_share: 0.55,
  delay_price: null,
  delay_after: null,
  tanks: [{ name: 'seed', holds: 70, rate: 0.35, unit: 'units' }],
  fields: [
    {
      name: 'Long Acre',
      crop: null,
      acres: 62.5,
      soil: null,
      residue: null,
      tillage: null,
      seed: null,
      population: 28000,
    },
  ],
  own_items: [],
  ticked: [],
} as unknown as Season

describe('a season in the form', () => {
  it('is sent as it came where nothing was typed', () => {
    const sent = seasonEdit(typedSeason(season), 3)
    expect(sent).toMatchObject({
      revision: 3,
      mph: 5.2,
      efficiency: 0.85,
      fit_share: 0.55,
      planned_acres: null,
      hours_a_day: null,
    })
    expect(sent.fields?.[0]).toMatchObject({ acres: 62.5, population: 28000, crop: null })
    expect(sent.tanks).toEqual([{ name: 'seed', holds: 70, rate: 0.35, unit: 'units', crop: null }])
  })

  it('leaves out lines of which nothing was filled in', () => {
    const typed = typedSeason(season)
    typed.fields.push({
      name: '',
      crop: '',
      acres: null,
      soil: null,
      residue: null,
      tillage: null,
      seed: '',
      population: null,
    })
    const sent = seasonEdit(typed, 0)
    expect(sent.fields).toHaveLength(1)
  })
})

describe('the line of weeks', () => {
  it('runs from what is late to planting', () => {
    const item = (due: string, more: Partial<Deadline> = {}): Deadline => ({
      key: 'walk',
      title: null,
      due,
      latest_start: due,
      done: false,
      late: false,
      by_hand: false,
      said: [],
      ...more,
    })
    const line = weeksOf(
      [item('2027-03-27', { late: true }), item('2027-03-01', { done: true })],
      '2027-04-06',
      '2027-04-24',
    )
    expect(line.at('2027-03-27')).toBe(0)
    expect(line.at('2027-04-24')).toBe(100)
    expect(line.today).toBeCloseTo((100 * 10) / 28)
    expect(line.weeks.map(({ week }) => week)).toEqual([0, 1, 2, 3])
    expect(weeksOf([], '2027-01-04', '2027-05-24').weeks.map(({ week }) => week)).toEqual([0, 4, 8, 12, 16])
    expect(daysBetween('2027-03-27', '2027-03-29')).toBe(2)
  })
})
