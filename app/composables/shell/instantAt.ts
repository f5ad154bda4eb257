import { getLocalTimeZone, parseDateTime } from '@internationalized/date'

/** The instant of a time on a place's own clock. @param time HH:MM */
export const instantAt = (day: string, time: string, timeZone: string | undefined): string =>
  parseDateTime(`${day}T${time}`)
    .toDate(timeZone ?? getLocalTimeZone())
    .toISOString()
