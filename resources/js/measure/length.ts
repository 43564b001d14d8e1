/*
 * Lengths on the device, where there may be no signal: core's Length and LengthPrinter again, held to the same test
 * vectors (core/tests/vectors/lengths.json). Whole nanometres, as there.
 */
import { readNumber, type Fault } from './number'

export type Units = 'in' | 'mm'

/** What furrow is counted in, in m: a mile beside inches, a kilometre beside millimetres. */
export const FURROW_UNIT: Record<Units, number> = { in: 1609.344, mm: 1000 }

export type ReadLength = { nm: number } | Fault

export const NM_PER_INCH = 25_400_000
export const NM_PER_MM = 1_000_000

const LONGEST = 120 * NM_PER_INCH
/** Nanometres. */
const SPELLINGS: Record<string, number> = {
  in: NM_PER_INCH,
  inch: NM_PER_INCH,
  inches: NM_PER_INCH,
  '"': NM_PER_INCH,
  ft: 12 * NM_PER_INCH,
  foot: 12 * NM_PER_INCH,
  feet: 12 * NM_PER_INCH,
  "'": 12 * NM_PER_INCH,
  mm: NM_PER_MM,
  cm: 10 * NM_PER_MM,
  m: 1000 * NM_PER_MM,
}

export function fromMm(mm: number): number {
  return Math.round(mm * NM_PER_MM)
}

export function readLength(typed: string, units: Units): ReadLength {
  const own = units === 'in' ? NM_PER_INCH : NM_PER_MM
  const read = readNumber(typed, {
    units: Object.fromEntries(Object.entries(SPELLINGS).map(([spelling, nm]) => [spelling, nm / own])),
    low: 0,
    high: LONGEST / own,
    name: units,
    decimalOnly: ['mm', 'cm', 'm'],
    // A fraction is always inches.
    bareFraction: NM_PER_INCH / own,
  })
  return 'value' in read ? { nm: Math.round(read.value * own) } : read
}

/** The figure alone: `14 3/8` to the nearest sixteenth, or `365.1` to the nearest tenth of a millimetre. */
export function printFigure(nm: number, units: Units): string {
  return units === 'in' ? printSixteenths(nm) : printTenths(nm)
}

/** The figure with its unit. */
export function printLength(nm: number, units: Units): string {
  return `${printFigure(nm, units)} ${units}`
}

/** A difference in size, never printed as nothing unless it is nothing. */
export function printDifference(nm: number, units: Units): string {
  const size = Math.abs(nm)
  if (size > 0 && printFigure(size, units) === '0') return `less than ${units === 'in' ? '1/16' : '0.1'} ${units}`
  return printLength(size, units)
}

function printTenths(nm: number): string {
  const tenths = roundHalfUp((nm * 10) / NM_PER_MM)
  return tenths % 10 === 0 ? String(tenths / 10) : (tenths / 10).toFixed(1)
}

function printSixteenths(nm: number): string {
  const parts = roundHalfUp((nm * 16) / NM_PER_INCH)
  const sign = parts < 0 ? '-' : ''
  const whole = Math.floor(Math.abs(parts) / 16)
  let top = Math.abs(parts) % 16
  if (top === 0) return `${sign}${whole}`
  let bottom = 16
  while (top % 2 === 0) {
    top /= 2
    bottom /= 2
  }
  return `${sign}${whole > 0 ? `${whole} ` : ''}${top}/${bottom}`
}

/** Rounds halves away from zero, as PHP does. */
function roundHalfUp(value: number): number {
  const rounded = Math.sign(value) * Math.round(Math.abs(value))
  return rounded === 0 ? 0 : rounded
}
