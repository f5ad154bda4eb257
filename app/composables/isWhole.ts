import { plannedSheet } from '#core/jobsheet/plannedSheet'
import type { ApplicationDocument } from '#core/jobsheet/document'

/** Whether an application can be worked out, so that it may be planned. */
export const isWhole = (document: ApplicationDocument, day: string): boolean =>
  plannedSheet(document, day) !== null
