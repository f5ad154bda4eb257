import type { ApplicationDraft } from '../draft/applicationShape'
import type { FieldProblem } from '../quantity/fieldReader'

/**
 * The field that is asked for next, by its path; undefined when nothing is missing or wrong. Which machine
 * comes before the readings of its course: a calibrated one needs none.
 * @param machines whether the library has a machine for the method
 * @param leaving the path of the field that was just settled
 */
export function nextField(
  problems: readonly FieldProblem[],
  document: ApplicationDraft,
  machines: 'some' | 'none',
  leaving: string | undefined,
): string | undefined {
  const path = problems[0]?.path
  const machine = `${document.method}.equipment`
  const unnamed = document[document.method].equipment.trim() === ''
  return path?.includes('.calibration.') && unnamed && machines === 'some' && leaving !== machine
    ? machine
    : path
}
