import type { Deadline, Season, SeasonEdit, SeasonField } from '@/api/types'

/** A field as it stands in the form: a number is null until it can be read. */
export type TypedField = Omit<SeasonField, 'acres' | 'population' | 'crop' | 'seed'> & {
  crop: string
  seed: string
  acres: number | null
  population: number | null
}
type TypedTank = { name: string; holds: number | null; rate: number | null; unit: string; crop: string }
/** A season as it stands in the form. */
export type Typed = Pick<
  Season,
  | 'planned_acres'
  | 'mph'
  | 'efficiency'
  | 'counts_fills'
  | 'fill_minutes'
  | 'hours_a_day'
  | 'fit_share'
  | 'delay_price'
  | 'own_items'
  | 'ticked'
> & {
  planting_start: string
  planting_end: string
  delay_after: string
  tanks: TypedTank[]
  fields: TypedField[]
}

export const typedField = (field: SeasonField): TypedField => ({
  ...field,
  crop: field.crop ?? '',
  seed: field.seed ?? '',
  population: field.population ?? null,
})

export const emptyField = (): TypedField => ({
  name: '',
  crop: '',
  acres: null,
  soil: null,
  residue: null,
  tillage: null,
  seed: '',
  population: null,
})

export const typedSeason = (season: Season): Typed => ({
  planting_start: season.planting_start ?? '',
  planting_end: season.planting_end ?? '',
  planned_acres: season.planned_acres,
  mph: season.mph,
  efficiency: season.efficiency,
  counts_fills: season.counts_fills,
  fill_minutes: season.fill_minutes,
  hours_a_day: season.hours_a_day,
  fit_share: season.fit_share,
  delay_price: season.delay_price,
  delay_after: season.delay_after ?? '',
  tanks: season.tanks.map((tank) => ({ ...tank, crop: tank.crop ?? '' })),
  fields: season.fields.map(typedField),
  own_items: season.own_items.map((item) => ({ ...item })),
  ticked: [...season.ticked],
})

/** What is sent; a line of which nothing was filled in is none. */
export const seasonEdit = (typed: Typed, revision: number): SeasonEdit => ({
  ...typed,
  revision,
  planting_start: typed.planting_start || null,
  planting_end: typed.planting_end || null,
  delay_after: typed.delay_after || null,
  tanks: typed.tanks
    .filter(({ name, holds, rate }) => name || holds !== null || rate !== null)
    .map((tank) => ({ ...tank, crop: tank.crop || null, holds: tank.holds ?? 0, rate: tank.rate ?? 0 })),
  fields: typed.fields
    .filter(({ name, acres, crop }) => name || acres !== null || crop)
    .map((field) => ({ ...field, crop: field.crop || null, seed: field.seed || null, acres: field.acres ?? 0 })),
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
