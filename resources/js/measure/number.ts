/*
 * Every number that a person types on the device: the grammar of core's NumberReader again, held to the same vectors
 * (core/tests/vectors/numbers.json). A value comes back, or what is wrong; never a guess.
 */
import { inFigures } from './spoken'

/** How the workshop writes numbers: 1,234.5 or 1.234,5. */
export type NumberStyle = 'point' | 'comma'

type NumberFault =
  | 'empty'
  | 'not_a_number'
  | 'negative'
  | 'exponent'
  | 'unfinished_fraction'
  | 'zero_denominator'
  | 'top_heavy_fraction'
  | 'unknown_fraction'
  | 'fraction_of_metric'
  | 'unknown_unit'
  | 'no_unit'
  | 'unit_twice'
  | 'two_ways'
  | 'other_style'
  | 'not_whole'
  | 'too_low'
  | 'too_high'

/** What is wrong, with what its wording is filled with. */
export interface Fault {
  fault: NumberFault
  fill: Record<string, string>
}
export type ReadNumber = { value: number } | Fault

export interface NumberRules {
  /** How much of the field's own unit each spelling is, in small letters. */
  units?: Record<string, number>
  /** In the field's own unit, as is the highest. */
  low?: number
  high?: number
  whole?: boolean
  /** Of the field's own unit, for messages. */
  name?: string
  /** Null where the workshop has not said. */
  style?: NumberStyle | null
  /** Units without fractions: 14 3/8 mm is refused. */
  decimalOnly?: string[]
  /** How much a fraction without a unit counts: an inch, wherever a tape is read. */
  bareFraction?: number
}

const SAME: [RegExp, string][] = [
  [/[⁄∕]/g, '/'],
  [/[″”“]|''/g, '"'],
  [/[′’‘ʼ]/g, "'"],
  [/[−–]/g, '-'],
  [/₂/g, '2'],
]
const VULGAR: Record<string, string> = {
  '½': ' 1/2',
  '¼': ' 1/4',
  '¾': ' 3/4',
  '⅛': ' 1/8',
  '⅜': ' 3/8',
  '⅝': ' 5/8',
  '⅞': ' 7/8',
}
/** The fractions a tape is marked in. */
const DENOMINATORS = [2, 4, 8, 16, 32, 64]
const MOST_LETTERS = 80

type Size = [value: string | number, factor: number]

/** Thrown inside the reader alone: it ends the reading. */
class Unreadable extends Error {
  constructor(
    readonly fault: NumberFault,
    readonly fill: Record<string, string> = {},
  ) {
    super(fault)
  }
}

export function readNumber(typed: string, rules: NumberRules = {}): ReadNumber {
  try {
    return { value: read(typed, rules) }
  } catch (error) {
    if (!(error instanceof Unreadable)) throw error
    return { fault: error.fault, fill: { typed, ...error.fill } }
  }
}

/** The value of digits with their marks; null where this style does not write numbers that way. */
export function valueOf(digits: string, style: NumberStyle): number | null {
  const [decimal, thousands] = style === 'point' ? ['\\.', ','] : [',', '\\.']
  const found = new RegExp(
    `^(?:(\\d+|[1-9]\\d{0,2}(?:(${thousands}| |')\\d{3})(?:\\2\\d{3})*)(?:${decimal}(\\d*))?|${decimal}(\\d+))$`,
  ).exec(digits)
  if (found === null) return null
  return Number(`${(found[1] ?? '').replace(/\D/g, '')}.${found[4] ?? found[3] ?? ''}0`)
}

/** A value as a style writes it, without thousands marks and with no more than six places. */
export function writeNumber(value: number, style: NumberStyle | null = 'point'): string {
  const plain = value.toFixed(6).replace(/\.?0+$/, '')
  return style === 'comma' ? plain.replace('.', ',') : plain
}

function read(typed: string, rules: NumberRules): number {
  let text = plain(typed)
  if (text === '') throw new Unreadable('empty')
  const sign = /^([+-]) ?(?=[\d.,])/.exec(text)
  if (sign) text = text.slice(sign[0].length)
  if ([...text].length > MOST_LETTERS) throw new Unreadable('not_a_number')
  const sizes = sizesOf(text, rules)
  const isNegative = sign?.[1] === '-'
  if (isNegative && (rules.low ?? -Infinity) >= 0) throw new Unreadable('negative')
  return choose(isNegative ? -1 : 1, sizes, rules)
}

function plain(typed: string): string {
  let text = typed
  for (const [from, to] of SAME) text = text.replace(from, to)
  return text
    .replace(/[½¼¾⅛⅜⅝⅞]/g, (character) => VULGAR[character] ?? character)
    .replace(/[\s\u1680\u2000-\u200A]+/g, ' ')
    .trim()
    .toLowerCase()
}

/** One or several sizes that add up, each with its unit; a bare number stands alone. */
function sizesOf(text: string, rules: NumberRules): Size[] {
  const units = Object.keys(rules.units ?? {}).sort((one, other) => other.length - one.length)
  const unitAt = (rest: string, isBefore: boolean): [unit: string | null, rest: string] => {
    for (const spelling of units) {
      if (!rest.startsWith(spelling) || (isBefore && !/^\p{Sc}$/u.test(spelling))) continue
      const behind = rest.slice(spelling.length)
      if (/[a-z]$/.test(spelling) && /^\p{L}/u.test(behind)) continue
      return [spelling, behind.replace(/^\.(?!\d)/, '').trimStart()]
    }
    return [null, rest]
  }

  const [money, behindMoney] = unitAt(inFigures(text), true)
  let rest = behindMoney
  const sizes: Size[] = []
  let least = Infinity
  do {
    const [value, isFraction, behind] = figureOf(rest)
    const [known, after] = unitAt(behind, false)
    rest = after
    if ((known !== null && money !== null) || unitAt(rest, false)[0] !== null) throw new Unreadable('unit_twice')
    const unit = known ?? money
    if (unit === null && (rest !== '' || sizes.length > 0)) throw stuck(rest, rules.units ?? {})
    if (isFraction && unit !== null && rules.decimalOnly?.includes(unit)) throw new Unreadable('fraction_of_metric')
    const factor = unit !== null ? (rules.units?.[unit] ?? 1) : isFraction ? (rules.bareFraction ?? 1) : 1
    if (factor >= least) throw new Unreadable('unit_twice')
    least = factor
    sizes.push([value, factor])
    rest = rest.replace(/^and (?=\d)/, '')
  } while (rest !== '')
  return sizes
}

function figureOf(text: string): [value: string | number, isFraction: boolean, rest: string] {
  const part = /^(?:(\d{1,7})(?: ?- ?| ))?(\d{1,3}) ?\/ ?(\d{1,3})(?![\d/])/.exec(text)
  if (part) {
    const value = fraction(Number(part[1] ?? 0), Number(part[2]), Number(part[3]))
    return [value, true, text.slice(part[0].length).trimStart()]
  }
  if (/^(?:\d+(?: ?- ?| ))?\d+ ?\/(?! ?[\d/]|[a-z])/.test(text)) throw new Unreadable('unfinished_fraction')
  const found = /^(?:\d(?:\d|[.,](?!\s)|[ '](?=\d{3}(?!\d)))*[.,]?|[.,]\d+)/.exec(text)
  if (!found) throw new Unreadable('not_a_number')
  const rest = text.slice(found[0].length)
  if (/^e[+-]?\d/.test(rest)) throw new Unreadable('exponent')
  return [found[0], false, rest.trimStart()]
}

function fraction(whole: number, top: number, bottom: number): number {
  if (bottom === 0) throw new Unreadable('zero_denominator')
  if (!DENOMINATORS.includes(bottom)) throw new Unreadable('unknown_fraction')
  if (top >= bottom) throw new Unreadable('top_heavy_fraction')
  return whole + top / bottom
}

/** What stands where a unit was looked for. */
function stuck(text: string, units: Record<string, number>): Unreadable {
  if (!/^(?:[\p{L}\p{Sc}%°"']|\/ ?\p{L})/u.test(text)) return new Unreadable('not_a_number')
  const names = Object.keys(units)
  if (names.length === 0) return new Unreadable('no_unit')
  // One spelling of each unit.
  const first = names.filter((name) => names.find((other) => units[other] === units[name]) === name)
  return new Unreadable('unknown_unit', { units: first.join(', ') })
}

/** The workshop's own reading where it is inside the range; the other's never, unless nobody said which is its own. */
function choose(sign: number, sizes: Size[], rules: NumberRules): number {
  const { low = -Infinity, high = Infinity, whole = false, name = '', style = null } = rules
  const ownStyle = style ?? 'point'
  const said = (value: number) => `${writeNumber(value, ownStyle)} ${name}`.trimEnd()
  const isInside = (value: number): boolean =>
    Number.isFinite(value) && value >= low && value <= high && (!whole || Number.isInteger(value))
  const outside = (value: number) => {
    if (value < low) return new Unreadable('too_low', { low: said(low) })
    return value > high || !Number.isFinite(value)
      ? new Unreadable('too_high', { high: said(high) })
      : new Unreadable('not_whole')
  }

  const own = sum(sign, sizes, ownStyle)
  const other = sum(sign, sizes, ownStyle === 'point' ? 'comma' : 'point')
  if (own === null && other === null) throw new Unreadable('not_a_number')
  const twoWays = (one: number, two: number) => new Unreadable('two_ways', { one: said(one), other: said(two) })
  if (own !== null && isInside(own)) {
    if (own === other || style !== null || other === null || !isInside(other)) return own
    throw twoWays(own, other)
  }
  if (other === null || !isInside(other)) throw outside(own ?? other ?? 0)
  if (style === null) return other
  throw own === null ? new Unreadable('other_style', { other: said(other) }) : twoWays(own, other)
}

function sum(sign: number, sizes: Size[], style: NumberStyle): number | null {
  let total = 0
  for (const [value, factor] of sizes) {
    const figure = typeof value === 'string' ? valueOf(value, style) : value
    if (figure === null) return null
    total += figure * factor
  }
  return sign * total
}
