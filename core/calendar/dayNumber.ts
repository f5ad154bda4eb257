const DAY_MS = 86_400_000

/**
 * A calendar day as a count, so that days can be told apart and added.
 * @example dayNumber('1970-01-02') // 1
 */
export const dayNumber = (day: string): number => Math.round(Date.parse(day) / DAY_MS)

/** The calendar day of a count. @example dayOfNumber(1) // '1970-01-02' */
export function dayOfNumber(count: number): string {
  // By whole numbers, for a season asks for thousands of days: years of 400 years, from 1 March on.
  const since = count + DAYS_TO_1970
  const era = Math.floor(since / ERA_DAYS)
  const day = since - era * ERA_DAYS
  const year = Math.floor(
    (day - Math.floor(day / 1460) + Math.floor(day / 36_524) - Math.floor(day / 146_096)) / 365,
  )
  const ofYear = day - (365 * year + Math.floor(year / 4) - Math.floor(year / 100))
  const month = Math.floor((5 * ofYear + 2) / 153)
  const ofMonth = ofYear - Math.floor((153 * month + 2) / 5) + 1
  const calendarMonth = month < 10 ? month + 3 : month - 9
  const calendarYear = year + era * 400 + (calendarMonth <= 2 ? 1 : 0)
  return `${padded(calendarYear, 4)}-${padded(calendarMonth, 2)}-${padded(ofMonth, 2)}`
}

/** From 1 March of the year 0 to 1970, and the days of 400 years. */
const DAYS_TO_1970 = 719_468
const ERA_DAYS = 146_097
const padded = (value: number, width: number): string => String(value).padStart(width, '0')
