import { AREA_UNIT, SPEED_UNIT } from './area'
import type { Units } from './length'

/** What a field's number is of: how people write it, and how much of the API's unit one is. */
export interface Shown {
  /** The person's own unit; empty for a plain number. */
  name: string
  /** Each spelling in the person's own unit. */
  units: Record<string, number>
  /** Of the API's unit in one of the person's own. */
  factor: number
  decimalOnly?: string[]
  bareFraction?: number
}

export type Kind =
  | 'plain'
  | 'percent'
  | 'share'
  | 'minutes'
  | 'hours'
  | 'days'
  | 'money'
  | 'seeds'
  | 'area'
  | 'areaAnHour'
  | 'speed'
  | 'mm'
  | 'length'
  | 'feet'
  | 'meters'
  | 'water'
  | 'rpm'
  /** Seeds per pound of seed. */
  | 'perPound'
  /** A weight, in pounds. */
  | 'pounds'

const all = (value: number, ...spellings: string[]) => Object.fromEntries(spellings.map((one) => [one, value]))
/** A pound is 0.45359237 kg. */
const POUNDS_PER_KILOGRAM = 1 / 0.45359237
const ACRES = all(1, 'ac', 'acre', 'acres')
const HECTARES = (value: number) => all(value, 'ha', 'hectare', 'hectares')
const PERCENT = all(1, '%', 'percent')
const MINUTES = (value: number) => all(value, 'min', 'mins', 'minute', 'minutes')
const HOURS = (value: number) => all(value, 'h', 'hr', 'hrs', 'hour', 'hours')

export function shownAs(kind: Kind, units: Units, currency: string): Shown {
  const isMetric = units === 'mm'
  switch (kind) {
    case 'plain':
      return { name: '', units: {}, factor: 1 }
    case 'percent':
      return { name: '%', units: PERCENT, factor: 1 }
    case 'share':
      return { name: '%', units: PERCENT, factor: 0.01 }
    case 'minutes':
      return { name: 'min', units: { ...MINUTES(1), ...HOURS(60) }, factor: 1 }
    case 'hours':
      return { name: 'h', units: { ...HOURS(1), ...MINUTES(1 / 60) }, factor: 1 }
    case 'days':
      return { name: 'days', units: { ...all(1, 'd', 'day', 'days'), ...all(7, 'wk', 'week', 'weeks') }, factor: 1 }
    case 'money':
      return { name: currency, units: all(1, symbolOf(currency), currency.toLowerCase()), factor: 1 }
    case 'seeds':
      return {
        name: 'seeds',
        units: {
          ...all(1, 'seed', 'seeds', 'seeds/ac', 'seeds/acre', '/ac', '/acre'),
          ...all(1000, 'k', 'k seeds', 'k seeds/ac', 'k/ac', 'thousand', 'thousand seeds'),
        },
        factor: 1,
      }
    case 'area': {
      const { name, acres } = AREA_UNIT[units]
      const own = isMetric
        ? { ...HECTARES(1), ...mapped(ACRES, 1 / acres) }
        : { ...ACRES, ...HECTARES(AREA_UNIT.mm.acres) }
      return { name, units: own, factor: acres }
    }
    case 'areaAnHour': {
      const area = shownAs('area', units, currency)
      const anHour = Object.entries(area.units).flatMap(([spelling, of]) => [
        [`${spelling}/h`, of],
        [spelling, of],
      ])
      return { ...area, name: `${area.name}/h`, units: Object.fromEntries(anHour) as Record<string, number> }
    }
    case 'speed': {
      const { name, mph } = SPEED_UNIT[units]
      const own = { ...all(1 / mph, 'mph'), ...all(SPEED_UNIT.mm.mph / mph, 'km/h', 'kmh', 'kph') }
      return { name, units: own, factor: mph }
    }
    case 'mm':
      return {
        name: 'mm',
        units: { mm: 1, cm: 10, ...all(25.4, 'in', 'inch', 'inches', '"') },
        factor: 1,
        decimalOnly: ['mm', 'cm'],
        bareFraction: 25.4,
      }
    case 'length': {
      const metric = shownAs('mm', units, currency)
      const inches = {
        name: 'in',
        units: mapped(metric.units, 1 / 25.4),
        factor: 25.4,
        decimalOnly: metric.decimalOnly,
      }
      return isMetric ? metric : inches
    }
    case 'feet':
      return {
        name: 'ft',
        units: { ...all(1, 'ft', 'feet', 'foot', "'"), ...all(1 / 12, 'in', '"'), m: 1 / 0.3048 },
        factor: 1,
      }
    case 'meters':
      return { name: 'm', units: { m: 1, cm: 0.01, ft: 0.3048 }, factor: 1 }
    case 'water':
      return {
        name: 'in H2O',
        units: {
          ...all(1, 'in h2o', 'inh2o', 'in', '"', 'inch', 'inches'),
          ...all(1 / 2.4908891, 'mbar', 'hpa'),
          kpa: 10 / 2.4908891,
        },
        factor: 1,
      }
    case 'perPound': {
      const factor = isMetric ? 1 / POUNDS_PER_KILOGRAM : 1
      const units = {
        ...all(1, '/lb', 'per lb', 'per pound', 'seeds/lb'),
        ...all(16, '/oz', 'per oz', 'per ounce', 'seeds/oz'),
        ...all(1 / POUNDS_PER_KILOGRAM, '/kg', 'per kg', 'per kilogram', 'seeds/kg'),
      }
      return { name: isMetric ? '/kg' : '/lb', units: mapped(units, 1 / factor), factor }
    }
    case 'pounds': {
      const factor = isMetric ? POUNDS_PER_KILOGRAM : 1
      const units = {
        ...all(1, 'lb', 'lbs', 'pound', 'pounds'),
        ...all(1 / 16, 'oz', 'ounce', 'ounces'),
        ...all(POUNDS_PER_KILOGRAM, 'kg', 'kilogram', 'kilograms'),
        ...all(POUNDS_PER_KILOGRAM / 1000, 'g', 'gram', 'grams'),
      }
      return { name: isMetric ? 'kg' : 'lb', units: mapped(units, 1 / factor), factor }
    }
    case 'rpm':
      return { name: 'rpm', units: all(1, 'rpm', 'turns/min', '/min'), factor: 1 }
  }
}

const mapped = (units: Record<string, number>, by: number) =>
  Object.fromEntries(Object.entries(units).map(([spelling, of]) => [spelling, of * by]))

function symbolOf(currency: string): string {
  const parts = new Intl.NumberFormat('en', { style: 'currency', currency, currencyDisplay: 'narrowSymbol' })
  return (parts.formatToParts(0).find(({ type }) => type === 'currency')?.value ?? currency).toLowerCase()
}
