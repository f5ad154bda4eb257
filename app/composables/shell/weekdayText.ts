const LONG = new Intl.DateTimeFormat('en-GB', {
  timeZone: 'UTC',
  weekday: 'long',
  day: 'numeric',
  month: 'long',
})
const SHORT = new Intl.DateTimeFormat('en-GB', {
  timeZone: 'UTC',
  weekday: 'short',
  day: 'numeric',
  month: 'short',
})
const noon = (day: string) => new Date(`${day}T12:00:00Z`)

/** A day of this year with its weekday: 'Wednesday 6 May'. @param day YYYY-MM-DD */
export const weekdayText = (day: string): string => LONG.format(noon(day))

/** The same in little room: 'Wed 6 May'. */
export const shortWeekday = (day: string): string => SHORT.format(noon(day)).replace(',', '')
