import type { Deadline, Season, SeasonEdit, SeasonField } from '@/api/types'
import { areaText, speedText, typedAcres, typedSpeed } from '@/measure/area'
import type { Units } from '@/measure/length'
import { typedNumber } from '@/measure/typed'

/** A field as it stands in the form: typed. */
export type TypedField = Omit<SeasonField, 'acres' | 'population' | 'crop' | 'seed'> & {
  crop: string
  seed: string
  acres: string
  population: string
}
export type TypedTank = { name: string; holds: string; rate: string; unit: string }
/** A season as it stands in the form. */
export type Typed = {
  planting_start: string
  planting_end: string
  planned_acres: string
  mph: string
  efficiency: string
  counts_fills: boolean
  fill_minutes: string
  hours_a_day: string
  fit_share: string
  delay_price: string
  delay_after: string
  tanks: TypedTank[]
  fields: TypedField[]
  own_items: Season['own_items']
  ticked: Season['ticked']
}

const text = (value: number | null) => (value === null ? '' : String(value))
const percent = (value: number | null) => (value === null ? '' : String(Number((100 * value).toFixed(1))))

export const typedField = (field: SeasonField, units: Units): TypedField => ({
  ...field,
  crop: field.crop ?? '',
  seed: field.seed ?? '',
  acres: areaText(field.acres, units),
  population: text(field.population ?? null),
})

export const emptyField = (): TypedField => ({
  name: '',
  crop: '',
  acres: '',
  soil: null,
  residue: null,
  tillage: null,
  seed: '',
  population: '',
})

export const typedSeason = (season: Season, units: Units): Typed => ({
  planting_start: season.planting_start ?? '',
  planting_end: season.planting_end ?? '',
  planned_acres: season.planned_acres === null ? '' : areaText(season.planned_acres, units),
  mph: season.mph === null ? '' : speedText(season.mph, units),
  efficiency: percent(season.efficiency),
  counts_fills: season.counts_fills,
  fill_minutes: text(season.fill_minutes),
  hours_a_day: text(season.hours_a_day),
  fit_share: percent(season.fit_share),
  delay_price: text(season.delay_price),
  delay_after: season.delay_after ?? '',
  tanks: season.tanks.map((tank) => ({ ...tank, holds: String(tank.holds), rate: String(tank.rate) })),
  fields: season.fields.map((field) => typedField(field, units)),
  own_items: season.own_items.map((item) => ({ ...item })),
  ticked: [...season.ticked],
})

const share = (typed: string) => {
  const value = typedNumber(typed)
  return typeof value === 'number' ? Number((value / 100).toFixed(3)) : value
}
const mph = (typed: string, units: Units) => {
  const speed = typedSpeed(typed, units)
  return typeof speed === 'number' ? Number(speed.toFixed(1)) : speed
}

/** What goes up; a line of which nothing was filled in is none. */
export const seasonEdit = (typed: Typed, revision: number, units: Units): SeasonEdit => ({
  revision,
  planting_start: typed.planting_start || null,
  planting_end: typed.planting_end || null,
  planned_acres: typedAcres(typed.planned_acres, units, 1),
  mph: mph(typed.mph, units),
  efficiency: share(typed.efficiency),
  counts_fills: typed.counts_fills,
  fill_minutes: typedNumber(typed.fill_minutes),
  hours_a_day: typedNumber(typed.hours_a_day),
  fit_share: share(typed.fit_share),
  delay_price: typedNumber(typed.delay_price),
  delay_after: typed.delay_after || null,
  tanks: typed.tanks
    .filter(({ name, holds, rate }) => name || holds || rate)
    .map((tank) => ({ ...tank, holds: typedNumber(tank.holds) as number, rate: typedNumber(tank.rate) as number })),
  fields: typed.fields
    .filter(({ name, acres, crop }) => name || acres || crop)
    .map((field) => ({
      ...field,
      crop: field.crop || null,
      seed: field.seed || null,
      acres: typedAcres(field.acres, units, 1) as number,
      population: typedNumber(field.population),
    })),
  own_items: typed.own_items,
  ticked: typed.ticked,
})

const DAY = 86_400_000
const noon = (day: string) => new Date(`${day}T12:00:00`).getTime()
export const daysBetween = (from: string, to: string) => Math.round((noon(to) - noon(from)) / DAY)

const MOST_WEEKS = 6
/** The line of weeks: from today, or what is due first and not done, to planting; each item's place in percent. */
export function weeksOf(countdown: Deadline[], today: string, planting: string) {
  const open = countdown.filter(({ done }) => !done).map(({ due, latest_start }) => latest_start ?? due)
  const from = [today, ...open].sort()[0] as string
  const days = Math.max(1, daysBetween(from, planting))
  const at = (day: string) => Math.max(0, Math.min(100, (100 * daysBetween(from, day)) / days))
  // As many as can be read beside each other.
  const step = Math.ceil(days / 7 / MOST_WEEKS)
  const weeks = Array.from({ length: Math.ceil(days / 7 / step) }, (_, mark) => mark * step)
    .map((week) => ({ week, at: 100 - (700 * week) / days }))
    .filter((one) => one.at >= 0)
  return { at, weeks, today: at(today) }
}
