/*
 * Lengths on the device, where there may be no signal: the grammar and the printing of core's LengthReader and
 * LengthPrinter again, held to the same test vectors (core/tests/vectors/lengths.json). Whole nanometres, as there.
 */

export type Units = 'in' | 'mm'

/** What furrow is counted in, in m: a mile beside inches, a kilometre beside millimetres. */
export const FURROW_UNIT: Record<Units, number> = { in: 1609.344, mm: 1000 }

export type LengthFault =
  | 'empty'
  | 'negative'
  | 'exponent'
  | 'unfinished_fraction'
  | 'zero_denominator'
  | 'top_heavy_fraction'
  | 'unknown_fraction'
  | 'fraction_of_millimetres'
  | 'unknown_unit'
  | 'not_a_number'
  | 'too_long'

export type ReadLength = { nm: number } | { fault: LengthFault }

export const NM_PER_INCH = 25_400_000
export const NM_PER_MM = 1_000_000

const LONGEST = 120 * NM_PER_INCH
const DENOMINATORS = [2, 4, 8, 16, 32, 64]
const VULGAR: Record<string, string> = {
  '½': ' 1/2',
  '¼': ' 1/4',
  '¾': ' 3/4',
  '⅛': ' 1/8',
  '⅜': ' 3/8',
  '⅝': ' 5/8',
  '⅞': ' 7/8',
}
const UNITS: Record<string, number | null> = {
  '': null,
  in: NM_PER_INCH,
  inch: NM_PER_INCH,
  inches: NM_PER_INCH,
  '"': NM_PER_INCH,
  mm: NM_PER_MM,
  cm: 10 * NM_PER_MM,
}

export function fromMm(mm: number): number {
  return Math.round(mm * NM_PER_MM)
}

export function readLength(typed: string, units: Units): ReadLength {
  const text = plain(typed)
  if (text === '') return { fault: 'empty' }
  if (text.startsWith('-')) return { fault: 'negative' }
  if (/^[\d.,]+e[+-]?\d+/.test(text)) return { fault: 'exponent' }
  const found = /^([\d.,/ -]*\d[\d.,/ -]*?)\s*([a-z"]*)$/.exec(text)
  if (found === null) return { fault: 'not_a_number' }

  const [, number = '', unitName = ''] = found
  const unit = UNITS[unitName]
  if (unit === undefined) return { fault: 'unknown_unit' }
  const read = number.includes('/') ? readFraction(number, unit) : readDecimal(number, unit, units)
  return 'nm' in read && read.nm > LONGEST ? { fault: 'too_long' } : read
}

function plain(typed: string): string {
  return typed
    .replace(/[\u00A0\u2009\u202F]/g, ' ')
    .replace(/[⁄∕]/g, '/')
    .replace(/[″”“]|''/g, '"')
    .replace(/[−–]/g, '-')
    .replace(/[½¼¾⅛⅜⅝⅞]/g, (character) => VULGAR[character] ?? character)
    .replace(/\s+/g, ' ')
    .trim()
    .toLowerCase()
}

function readFraction(number: string, unit: number | null): ReadLength {
  if (/\/\s*$/.test(number)) return { fault: 'unfinished_fraction' }
  const part = /^(?:(\d{1,4})(?: | ?- ?))?(\d{1,3}) ?\/ ?(\d{1,3})$/.exec(number)
  if (part === null) return { fault: 'not_a_number' }
  const [whole, top, bottom] = [Number(part[1] ?? 0), Number(part[2]), Number(part[3])]

  if (unit !== null && unit !== NM_PER_INCH) return { fault: 'fraction_of_millimetres' }
  if (bottom === 0) return { fault: 'zero_denominator' }
  if (!DENOMINATORS.includes(bottom)) return { fault: 'unknown_fraction' }
  if (top >= bottom) return { fault: 'top_heavy_fraction' }
  return { nm: whole * NM_PER_INCH + (top * NM_PER_INCH) / bottom }
}

function readDecimal(number: string, unit: number | null, units: Units): ReadLength {
  if (!/^\d*(?:[.,]\d*)?$/.test(number)) return { fault: 'not_a_number' }
  const each = unit ?? (units === 'in' ? NM_PER_INCH : NM_PER_MM)
  return { nm: Math.round(Number(number.replace(',', '.')) * each) }
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
