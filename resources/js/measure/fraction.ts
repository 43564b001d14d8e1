/** A stretch of text, or a figure with a true fraction in it. */
export type TextPart = { text: string } | { whole: string; top: string; bottom: string; spoken: string }

const NAMES: Record<string, [string, string]> = {
  2: ['half', 'halves'],
  4: ['quarter', 'quarters'],
  8: ['eighth', 'eighths'],
  16: ['sixteenth', 'sixteenths'],
  32: ['thirty-second', 'thirty-seconds'],
  64: ['sixty-fourth', 'sixty-fourths'],
}

/** Finds the fractions in a text, so that `14 3/8 in` can be set as one and spoken as "14 and 3 eighths". */
export function splitFractions(text: string): TextPart[] {
  const parts: TextPart[] = []
  let from = 0
  for (const found of text.matchAll(/(?:(\d+) )?(\d+)\/(\d+)/g)) {
    const [all, whole = '', top = '', bottom = ''] = found
    if (found.index > from) parts.push({ text: text.slice(from, found.index) })
    parts.push({ whole, top, bottom, spoken: speak(whole, top, bottom) })
    from = found.index + all.length
  }
  if (from < text.length) parts.push({ text: text.slice(from) })
  return parts
}

function speak(whole: string, top: string, bottom: string): string {
  const [one, many] = NAMES[bottom] ?? [`over ${bottom}`, `over ${bottom}`]
  const fraction = `${top} ${top === '1' ? one : many}`
  return whole === '' ? fraction : `${whole} and ${fraction}`
}
