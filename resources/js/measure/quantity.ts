/*
 * Figures of any unit on the device: lengths by length.ts, the rest as core's Amount and QuantityPrinter read and
 * print them, held to the same test vectors (core/tests/vectors/amounts.json).
 */
import type { Check, Chip, Unit } from '@/api/types'
import { readNumber, type Fault, type ReadNumber } from './number'
import { NM_PER_MM, printDifference, printFigure, printLength, readLength, type Units } from './length'

/** A read figure in its check's unit, or what is wrong with it. */
export type ReadQuantity = ReadNumber

/** 1 in H2O = 2.4908891 mbar; 1 psi = 0.068947573 bar. */
const SPELLINGS: Record<Unit, Record<string, number>> = {
  mm: {},
  inH2O: {
    'in h2o': 1,
    inh2o: 1,
    '"h2o': 1,
    in: 1,
    '"': 1,
    mbar: 1 / 2.4908891,
    hpa: 1 / 2.4908891,
    kpa: 10 / 2.4908891,
  },
  psi: { psi: 1, bar: 1 / 0.068947573, kpa: 0.01 / 0.068947573 },
  deg: { '°': 1, deg: 1, degree: 1, degrees: 1 },
  percent: { '%': 1, percent: 1 },
  notch: { notch: 1, notches: 1 },
  shim: { shim: 1, shims: 1 },
  season: { season: 1, seasons: 1 },
  mi: { mi: 1, mile: 1, miles: 1, km: 1 / 1.609344 },
  mark: {},
  turn: { turns: 1, turn: 1 },
  hole: { hole: 1, holes: 1 },
  scale_in: { in: 1, '"': 1, inch: 1, inches: 1 },
}
const HIGHEST: Partial<Record<Unit, number>> = {
  deg: 45,
  notch: 100,
  season: 100,
  shim: 20,
  turn: 100,
  hole: 100,
  scale_in: 100,
}

/** What a bare number is read in and a value printed in; empty for a plain number. */
export function unitName(unit: Unit, units: Units): string {
  const names: Partial<Record<Unit, string>> = {
    mm: units,
    inH2O: units === 'mm' ? 'mbar' : 'in H2O',
    psi: units === 'mm' ? 'bar' : 'psi',
    deg: '°',
    percent: '%',
    mi: units === 'mm' ? 'km' : 'mi',
    turn: 'turns',
    hole: 'hole',
    scale_in: 'in',
  }
  return names[unit] ?? ''
}

/** A unit in full, for who hears it read: `in inches`. Empty where there is none. */
export function sayInUnit(unit: Unit, units: Units): string {
  const words: Record<string, string> = {
    in: 'inches',
    mm: 'millimeters',
    'in H2O': 'inches of water',
    psi: 'pounds per square inch',
    '°': 'degrees',
    '%': 'percent',
    mi: 'miles',
    km: 'kilometers',
    hole: 'holes',
  }
  const name = unitName(unit, units)
  return name === '' ? '' : `in ${words[name] ?? name}`
}

/** Whole steps, in which two figures are compared: nanometres of a length, thousandths of the rest. */
export const toSteps = (value: number, unit: Unit) => Math.round(value * stepsPerUnit(unit))

export const stepsPerUnit = (unit: Unit) => (unit === 'mm' ? NM_PER_MM : 1000)

export function readQuantity(typed: string, unit: Unit, units: Units): ReadQuantity {
  if (unit === 'mm') {
    const read = readLength(typed, units)
    return 'nm' in read ? { value: read.nm / NM_PER_MM } : read
  }
  const own = displayFactor(unit, units)
  const highest = HIGHEST[unit] ?? 10_000
  const read = readNumber(typed, {
    units: Object.fromEntries(Object.entries(SPELLINGS[unit]).map(([spelling, factor]) => [spelling, factor / own])),
    low: unit === 'deg' ? -highest : 0,
    high: highest / own,
    whole: unit === 'shim' || unit === 'season' || unit === 'hole',
    name: unitName(unit, units),
  })
  return 'value' in read ? { value: Math.round(read.value * own * 1000) / 1000 } : read
}

/** A figure of a check; where it is off to one side or the other, with the side that is said behind it, as in 1/4 L. */
export function readFigure(
  typed: string,
  { unit, chips }: Pick<Check, 'unit' | 'chips'>,
  units: Units,
): { value: number; chips: Chip[] } | Fault {
  const sided = chips.length > 0 ? /^(|.*?[\d"'\s])\s*(l|left|r|right)\.?\s*$/i.exec(typed) : null
  const read = readQuantity(sided?.[1] ?? typed, unit ?? 'mark', units)
  if (!('value' in read)) return read
  return { ...read, chips: sided ? [/^l/i.test(sided[2] ?? '') ? 'off_left' : 'off_right'] : [] }
}

/** The reasons that go with what was ticked. */
export const reasonsOf = (chips: Chip[]) => chips.map((chip) => ({ code: `chip.${chip}`, ref: null, unit: null }))

/** The figure alone, as a person of these units says it. */
export function printQuantityFigure(value: number, unit: Unit, units: Units): string {
  if (unit === 'mm') return printFigure(toSteps(value, unit), units)
  const name = unitName(unit, units)
  const places = unit === 'turn' || unit === 'scale_in' ? 3 : name === 'bar' ? 2 : 1
  const shown = (value / displayFactor(unit, units)).toFixed(places)
  return shown.replace(/\.?0+$/, '').replace(/^-0$/, '0') || '0'
}

/** The figure with its unit. */
export function printQuantity(value: number, unit: Unit, units: Units): string {
  return unit === 'mm'
    ? printLength(toSteps(value, unit), units)
    : withUnit(printQuantityFigure(value, unit, units), unitName(unit, units))
}

/** How far two figures of one unit lie apart. */
export function printApart(one: number, other: number, unit: Unit, units: Units): string {
  return unit === 'mm'
    ? printDifference(toSteps(one, unit) - toSteps(other, unit), units)
    : printQuantity(Math.abs(toSteps(one, unit) - toSteps(other, unit)) / 1000, unit, units)
}

/** How much of the check's unit one of the shown unit is. */
export function displayFactor(unit: Unit, units: Units): number {
  return SPELLINGS[unit][unitName(unit, units).toLowerCase()] ?? 1
}

function withUnit(figure: string, name: string): string {
  if (name === '') return figure
  if (name === 'hole') return `hole ${figure}`
  if (name === 'turns' && figure === '1') return '1 turn'
  return name === '°' || name === '%' ? `${figure}${name}` : `${figure} ${name}`
}
