/* Numbers in words on the device: core's SpokenNumber again, held to the same vectors (core/tests/vectors/numbers.json). */

const ONES = Object.fromEntries(
  (
    'zero one two three four five six seven eight nine ten eleven twelve thirteen fourteen fifteen sixteen ' +
    'seventeen eighteen nineteen'
  )
    .split(' ')
    .map((word, value) => [word, value]),
)
const TENS = Object.fromEntries(
  'twenty thirty forty fifty sixty seventy eighty ninety'.split(' ').map((word, at) => [word, 10 * (at + 2)]),
)
const PARTS: Record<string, number> = {
  half: 2,
  halves: 2,
  quarter: 4,
  quarters: 4,
  fourth: 4,
  fourths: 4,
  eighth: 8,
  eighths: 8,
  sixteenth: 16,
  sixteenths: 16,
}
const LONG_PARTS: Record<string, number> = {
  'thirty second': 32,
  'thirty seconds': 32,
  'sixty fourth': 64,
  'sixty fourths': 64,
}

/** What was read, and the place behind it. */
type Found = [figure: string, behind: number]

/** The same text, in small letters with single spaces, with its number words turned into figures. */
export function inFigures(text: string): string {
  if (!/[a-z]/.test(text)) return text
  const words = text.split(/ |(?<=[a-z])-(?=[a-z])/)
  const word = (at: number) => words[at] ?? ''
  const isArticle = (at: number) => ['a', 'an'].includes(word(at))

  function number(at: number): Found | undefined {
    const whole = wholeAt(at)
    if (!whole) return fractionAt(at)
    const part = partAt(whole[1])
    if (part) return [`${whole[0]}/${part[0]}`, pastArticle(part[1])]
    const fraction = fractionAt(word(whole[1]) === 'and' ? whole[1] + 1 : whole[1])
    return fraction ? [`${whole[0]} ${fraction[0]}`, fraction[1]] : whole
  }

  function fractionAt(at: number): Found | undefined {
    if (/^\d+\/\d+$/.test(word(at))) return [word(at), at + 1]
    const top: Found | undefined = isArticle(at) ? ['1', at + 1] : word(at) in PARTS ? ['1', at] : wholeAt(at)
    const part = top && partAt(top[1])
    return part && [`${top[0]}/${part[0]}`, pastArticle(part[1])]
  }

  function partAt(at: number): [bottom: number, behind: number] | undefined {
    const long = LONG_PARTS[`${word(at)} ${word(at + 1)}`]
    if (long) return [long, at + 2]
    const short = PARTS[word(at)]
    return short ? [short, at + 1] : undefined
  }

  function pastArticle(at: number): number {
    const behind = word(at) === 'of' ? at + 1 : at
    return isArticle(behind) ? behind + 1 : behind
  }

  function wholeAt(start: number): Found | undefined {
    if (/^\d+$/.test(word(start))) return [word(start), start + 1]
    let [thousands, sum, room, at] = [0, 0, 100, start]
    for (; ; at++) {
      const value = ONES[word(at)] ?? TENS[word(at)]
      if (value !== undefined && value < room && (room === 100 || value > 0) && !partAt(at)) {
        sum += value
        room = word(at) in TENS ? 10 : 0
      } else if (word(at) === 'hundred' && sum > 0 && sum < 10) {
        ;[sum, room] = [100 * sum, 100]
      } else if (word(at) === 'thousand' && sum > 0 && thousands === 0) {
        ;[thousands, sum, room] = [sum, 0, 100]
      } else if (
        word(at) !== 'and' ||
        at === start ||
        !['hundred', 'thousand'].includes(word(at - 1)) ||
        !(word(at + 1) in ONES || word(at + 1) in TENS)
      ) {
        break
      }
    }
    return at === start ? undefined : [String(1000 * thousands + sum), at]
  }

  const said: string[] = []
  for (let at = 0; at < words.length;) {
    const [figure, behind] = number(at) ?? [word(at), at + 1]
    said.push(figure)
    at = behind
  }
  return said.join(' ')
}
