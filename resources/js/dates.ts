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
export const dateAndTime = (time: string) => moment.format(new Date(time))
