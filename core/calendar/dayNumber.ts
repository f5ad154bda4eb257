const DAY_MS = 86_400_000

/**
 * A calendar day as a count, so that days can be told apart and added.
 * @example dayNumber('1970-01-02') // 1
 */
export const dayNumber = (day: string): number => Math.round(Date.parse(day) / DAY_MS)

/** The calendar day of a count. @example dayOfNumber(1) // '1970-01-02' */
export const dayOfNumber = (count: number): string => new Date(count * DAY_MS).toISOString().slice(0, 10)
