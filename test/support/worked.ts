import type { LibraryCalibration } from '#core/calibration/calibrationInForce'
import type { ApplicationDraft } from '#core/draft/applicationShape'
import { workOutJob, type JobLibrary, type JobQuestion, type WorkedApplication } from '#core/job/workOutJob'
import type { Check } from '#core/rules/check'
import { RULES } from '#core/rules/registry'

export const EMPTY_LIBRARY: JobLibrary = { areas: [], products: [], calibrations: [], local: [], mixes: [] }

/** A job of one application, worked out with a library and what lies on its areas. */
export function workedWith(
  document: ApplicationDraft,
  day: string,
  {
    library = EMPTY_LIBRARY,
    ...rest
  }: Partial<Pick<JobQuestion, 'library' | 'ledger' | 'planned' | 'house' | 'weather'>> = {},
): WorkedApplication {
  return workOutJob({ applications: [{ id: 'application', document }], day, library, ...rest })[0]!
}

/** Calibrations as those of the machine that carries the draft. */
export const ofMachine = (
  document: ApplicationDraft,
  calibrations: readonly LibraryCalibration[],
): JobLibrary['calibrations'] =>
  calibrations.map((one) => ({ ...one, equipmentId: document[document.method].source?.id ?? '' }))

const codesOf = (needs: 'reading' | 'visit', family = '') =>
  new Set(
    RULES.filter(({ name }) => name.includes(family))
      .flatMap(({ rules }) => rules)
      .filter((rule) => rule.needs === needs)
      .flatMap(({ codes }) => codes),
  )
const VISIT = codesOf('visit')
/** What the rules say that ask labels, ledger and local rules. */
export const visitChecks = ({ checks }: Pick<WorkedApplication, 'checks'>): readonly Check[] =>
  checks.filter(({ code }) => VISIT.has(code))

/** What one family of rules says. */
export const familyChecks = (
  { checks }: Pick<WorkedApplication, 'checks'>,
  family: string,
): readonly Check[] => {
  const codes = codesOf('reading', family)
  return checks.filter(({ code }) => codes.has(code))
}
