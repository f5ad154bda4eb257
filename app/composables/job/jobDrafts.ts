import { v7 as uuid } from 'uuid'
import { blankApplication } from '#core/draft/blankApplication'
import { drawnAfresh } from '#core/draft/drawnAfresh'
import { withAreas } from '#core/draft/filledFromLibrary'
import type { UnitSystem } from '#core/quantity/systems'
import type { Area } from '#shared/schemas/ground'
import type { JobDraft } from './useJobDraft'

export const blankJobApplication = (units: UnitSystem) => ({
  id: uuid(),
  document: blankApplication({ lawn: uuid(), part: uuid(), product: uuid(), run: uuid() }, 'spray', units),
})

export const blankJob = (units: UnitSystem, day: string): JobDraft => ({
  version: 0,
  site: '',
  siteId: null,
  purpose: '',
  plannedFor: day,
  state: 'draft',
  applications: [blankJobApplication(units)],
})

/** A job on a saved site, its areas ticked. */
export function jobAt(
  { id, name, areas }: { readonly id: string; readonly name: string; readonly areas: readonly Area[] },
  units: UnitSystem,
  day: string,
): JobDraft {
  const application = blankJobApplication(units)
  return {
    ...blankJob(units, day),
    site: name,
    siteId: id,
    applications: [{ ...application, document: withAreas(application.document, areas) }],
  }
}

/** The same lawns, labels and machine again, for the same purpose, on another day. */
export const jobAgain = (draft: JobDraft, day: string): JobDraft => ({
  ...draft,
  version: 0,
  state: 'draft',
  plannedFor: day,
  applications: draft.applications.map(({ document }) => ({ id: uuid(), document: drawnAfresh(document) })),
})
