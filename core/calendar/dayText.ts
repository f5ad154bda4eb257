// Made once: making a format takes longer than all the arithmetic of a sheet.
const SPOKEN = new Intl.DateTimeFormat('en-GB', {
  timeZone: 'UTC',
  day: 'numeric',
  month: 'long',
  year: 'numeric',
})

/**
 * A calendar day as it is read aloud, unambiguous everywhere.
 * @example dayText('2026-05-06') // '6 May 2026'
 */
export const dayText = (day: string): string =>
  day === '' ? 'no day yet' : SPOKEN.format(new Date(`${day}T00:00:00Z`))
