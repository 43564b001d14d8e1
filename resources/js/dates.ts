const day = new Intl.DateTimeFormat('en', { day: 'numeric', month: 'short', year: 'numeric' })
const dayMonth = new Intl.DateTimeFormat('en', { day: 'numeric', month: 'short' })
const month = new Intl.DateTimeFormat('en', { month: 'long', year: 'numeric' })
const moment = new Intl.DateTimeFormat('en', {
  day: 'numeric',
  month: 'short',
  year: 'numeric',
  hour: '2-digit',
  minute: '2-digit',
  hour12: false,
})

/** A calendar day, as `2026-04-12`, without a shift by the device's time zone. */
export const shortDate = (date: string) => day.format(new Date(`${date}T12:00:00`))
/** The same where the year is plain. */
export const dayAndMonth = (date: string) => dayMonth.format(new Date(`${date}T12:00:00`))
export const monthAndYear = (time: string) => month.format(new Date(time))
const ago = new Intl.RelativeTimeFormat('en')
/** How long ago a moment was, in whole minutes, hours or days. */
export function age(time: string, now = Date.now()): string {
  const minutes = Math.floor((now - new Date(time).getTime()) / 60_000)
  if (minutes < 1) return 'just now'
  if (minutes < 60) return ago.format(-minutes, 'minute')
  return minutes < 1440 ? ago.format(-Math.floor(minutes / 60), 'hour') : ago.format(-Math.floor(minutes / 1440), 'day')
}
export const dateAndTime = (time: string) => moment.format(new Date(time))
