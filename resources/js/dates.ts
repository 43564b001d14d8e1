/*
 * Dates and times one way everywhere, by the workshop's habit: `Wed, Dec 16` and `8:12 AM`, or, where numbers are written
 * with a decimal comma, `Wed 16 Dec` and `08:12`.
 */

let locale = 'en-US'
const known = new Map<string, Intl.DateTimeFormat>()

export function writeDatesAs(style: 'point' | 'comma' | null): void {
  locale = style === 'comma' ? 'en-GB' : 'en-US'
}

function write(moment: Date, options: Intl.DateTimeFormatOptions): string {
  const key = `${locale} ${JSON.stringify(options)}`
  const format = known.get(key) ?? new Intl.DateTimeFormat(locale, options)
  known.set(key, format)
  // Some browsers put a narrow space before AM.
  return format.format(moment).replaceAll('\u202f', ' ')
}

const YEAR = { year: 'numeric' } as const
const DAY = { month: 'short', day: 'numeric' } as const
const hours = () => ({ hour: locale === 'en-GB' ? '2-digit' : 'numeric', minute: '2-digit' }) as const

/** A calendar day, as `2026-04-12`, without a shift by the device's time zone. */
const noon = (date: string) => new Date(`${date}T12:00:00`)
const yearBeside = (moment: Date, now: Date) => (moment.getFullYear() === now.getFullYear() ? {} : YEAR)

/** A day of the past, with its year: `Mar 1, 2025`. */
export const fullDate = (date: string) => write(noon(date), { ...DAY, ...YEAR })
/** A day that is near: `Wed, Dec 16`; of another year `Fri, Jan 8, 2027`. */
export const weekDate = (date: string, now = new Date()) =>
  write(noon(date), { weekday: 'short', ...DAY, ...yearBeside(noon(date), now) })
/** As a heading: `Tuesday, December 1`. */
export const longDay = (date: string) => write(noon(date), { weekday: 'long', month: 'long', day: 'numeric' })
export const monthAndYear = (time: string) => write(new Date(time), { month: 'long', ...YEAR })
/** The time of day, of a moment or of what the shop's clock says: `8:12 AM`. */
export const clock = (time: string) => write(new Date(time), hours())
/** `Wed, Dec 16, 8:12 AM` */
export const dateAndTime = (time: string, now = new Date()) =>
  write(new Date(time), { weekday: 'short', ...DAY, ...yearBeside(new Date(time), now), ...hours() })

const ago = new Intl.RelativeTimeFormat('en')
/** How long ago a moment was, in whole minutes, hours or days. */
export function age(time: string, now = Date.now()): string {
  const minutes = Math.floor((now - new Date(time).getTime()) / 60_000)
  if (minutes < 1) return 'just now'
  if (minutes < 60) return ago.format(-minutes, 'minute')
  return minutes < 1440 ? ago.format(-Math.floor(minutes / 60), 'hour') : ago.format(-Math.floor(minutes / 1440), 'day')
}
