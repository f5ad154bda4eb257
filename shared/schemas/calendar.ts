import * as v from 'valibot'
import type { CalendarEntry } from '#core/program/calendarEntries'
import { Name, Uuid } from '#core/shape/texts'

/** A private address of a calendar: of the crew, of whoever asks, or of one site for its client. */
export const NewCalendarSchema = v.strictObject({
  id: Uuid,
  name: Name,
  whose: v.picklist(['crew', 'mine', 'client']),
  siteId: v.optional(Uuid),
})
export type NewCalendar = v.InferOutput<typeof NewCalendarSchema>

export interface CalendarRow {
  readonly id: string
  readonly name: string
  readonly whose: NewCalendar['whose']
  readonly siteId: string | null
  readonly createdAt: string
}

/** Its secret is told this once. */
export interface MadeCalendar extends CalendarRow {
  readonly path: string
}

/** What comes on one site in plain words. */
export interface ClientProgram {
  readonly site: string
  readonly crew: string
  readonly entries: readonly CalendarEntry[]
}
