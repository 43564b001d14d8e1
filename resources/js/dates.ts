const long = new Intl.DateTimeFormat('en', { day: 'numeric', month: 'long', year: 'numeric' })
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
export const longDate = (day: string) => long.format(new Date(`${day}T12:00:00`))
export const monthAndYear = (time: string) => month.format(new Date(time))
export const dateAndTime = (time: string) => moment.format(new Date(time))
