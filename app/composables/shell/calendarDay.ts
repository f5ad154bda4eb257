import { DateFormatter } from '@internationalized/date'
import { dayText } from '#core/calendar/dayText'

/** The calendar day of an instant in a zone, YYYY-MM-DD. A formatter is made once: many ask at every key. */
export const calendarDay = (instant: string, timeZone: string | undefined): string =>
  new DateFormatter('en-CA', { timeZone, year: 'numeric', month: '2-digit', day: '2-digit' }).format(
    new Date(instant),
  )

/** An instant as the crew's clock showed it: 6 May 2026, 07:40. */
export const instantText = (instant: string, timeZone: string | undefined): string =>
  new DateFormatter('en-GB', {
    timeZone,
    day: 'numeric',
    month: 'long',
    year: 'numeric',
    hour: '2-digit',
    minute: '2-digit',
  })
    .format(new Date(instant))
    .replace(' at ', ', ')

/** When a record was finished; its hour only where somebody noted it. */
export const finishedText = (
  { finishedAt, only }: { readonly finishedAt: string; readonly only?: 'day' },
  timeZone: string | undefined,
): string => (only === 'day' ? dayText(calendarDay(finishedAt, timeZone)) : instantText(finishedAt, timeZone))
