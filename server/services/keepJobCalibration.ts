import { v5 as derived } from 'uuid'
import type { JobCalibration } from '#core/run/calibrationFromJob'
import type { RunRecord } from '#core/run/foldRun'
import { learnedFromJob } from '#core/run/learnedFromJob'
import type { JobApplication } from '#shared/schemas/job'
import type { Repositories } from '../repositories/forOrganization'
import { saveCalibration } from './saveCalibration'

/**
 * Keeps what a finished run weighed or measured back as calibrations of its machine, one for each part at a
 * dial and a pace of its own; ids follow from the run's own. A correction of the outcome corrects the point;
 * whatever else somebody changed of it since stays as they wrote it. A machine that is gone learns nothing.
 * @param outcome whether it was corrected just now
 */
export async function keepJobCalibration(
  repositories: Repositories,
  { id, document }: JobApplication,
  { state, used, finishedAt, details, frozen, progress, outcomes }: RunRecord,
  {
    dayOf,
    outcome,
  }: { readonly dayOf: (instant: string) => string; readonly outcome: 'corrected' | 'as it was' },
): Promise<void> {
  if (state !== 'done' || !used || finishedAt === undefined) return
  // The whole of a job has had these two names since calibrations were first kept of jobs.
  const named = (kind: string, part: number) => derived(part === 0 ? kind : `${kind} ${part}`, id)
  const learned = learnedFromJob({ frozen, progress, used, outcomes }, document, {
    day: dayOf(finishedAt),
    by: details?.by ?? '',
    runId: (part) => named('run', part),
  })
  for (const [part, own] of (learned?.parts ?? []).entries())
    await keepPart(repositories, named('calibration', part), own, outcome)
}

async function keepPart(
  repositories: Repositories,
  id: string,
  learned: JobCalibration,
  outcome: 'corrected' | 'as it was',
): Promise<void> {
  const { calibrations, equipment } = repositories
  if (!(await equipment.find(learned.equipmentId)) || (await calibrations.findDeleted(id))) return
  const before = await calibrations.find(id)
  if (!before) {
    await saveCalibration(repositories, id, { version: 0, ...learned })
    return
  }
  if (outcome === 'as it was') return
  const { version, equipmentId, document } = before
  const [run] = learned.document.course.runs
  const course = {
    ...document.course,
    ground: learned.document.course.ground,
    runs: document.course.runs.map((one) => (one.id === run?.id ? run : one)),
  }
  await saveCalibration(repositories, id, {
    version,
    equipmentId,
    document: { ...document, course } as typeof document,
  })
}
