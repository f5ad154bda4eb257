import type { House } from '../house'
import type { ApplicationSheet } from './applicationSheet'
import type { ApplicationDocument } from './document'
import { intervalChecks } from './intervalChecks'
import { labelContext, type CheckRooms } from './labelContext'
import { localChecks } from './localChecks'
import { mixChecks } from './mixChecks'
import type { SheetCheck } from './sheetCheck'
import { nitrogenOfYear, type LawnNitrogen } from './nutrientYear'
import { dayChecks } from './dayChecks'
import { diseaseChecks } from './diseaseChecks'
import { soilChecks } from './soilChecks'
import { turfChecks } from './turfChecks'
import type { WorkingBook } from '../working/working'
import { yearChecks } from './yearChecks'
import { yearLeft, type YearLeft } from './yearLeft'

/**
 * Every check that takes more than the sheet itself: the labels, the lawns, what was put down on them, local
 * rules, the crew's notes.
 * @param day the day of the job, YYYY-MM-DD
 * @returns nothing until the amounts can be worked out
 */
export function roomChecks(
  document: ApplicationDocument,
  { request, plan }: Pick<ApplicationSheet, 'request' | 'plan'>,
  rooms: CheckRooms,
  day: string,
  house: House,
): readonly SheetCheck[] {
  if (!request || !plan) return []
  const context = labelContext(document, request, rooms, day, house)
  return [
    ...yearChecks(context),
    ...intervalChecks(context),
    ...turfChecks(context, plan),
    ...soilChecks(context, plan),
    ...dayChecks(context, plan),
    ...diseaseChecks(context, plan),
    ...mixChecks(context),
    ...localChecks(context, plan),
  ]
}

/** What the labels still leave this year on each lawn; empty until the amounts can be worked out. */
export const sheetYearLeft = (
  document: ApplicationDocument,
  { request, plan }: Pick<ApplicationSheet, 'request' | 'plan'>,
  rooms: CheckRooms,
  day: string,
  house: House,
  book?: WorkingBook,
): readonly YearLeft[] =>
  request && plan ? yearLeft(labelContext(document, request, rooms, day, house), book) : []

/** The nitrogen year of each treated lawn that the rooms know; empty until the amounts can be worked out. */
export const sheetNitrogen = (
  document: ApplicationDocument,
  { request, plan }: Pick<ApplicationSheet, 'request' | 'plan'>,
  rooms: CheckRooms,
  day: string,
  house: House,
  book?: WorkingBook,
): readonly LawnNitrogen[] =>
  request && plan ? nitrogenOfYear(labelContext(document, request, rooms, day, house), plan, book) : []
