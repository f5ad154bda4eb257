const DAY_MS = 86_400_000

/**
 * Whole days from one calendar day to another, both YYYY-MM-DD.
 * @example daysBetween('2026-05-01', '2026-05-06') // 5
 */
export const daysBetween = (from: string, to: string): number =>
  Math.round((Date.parse(to) - Date.parse(from)) / DAY_MS)

/** The day so many days later. @example daysAfter('2026-04-29', 7) // '2026-05-06' */
export const daysAfter = (day: string, days: number): string =>
  new Date(Date.parse(day) + days * DAY_MS).toISOString().slice(0, 10)
