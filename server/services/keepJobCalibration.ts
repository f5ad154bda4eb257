import { v5 as derived } from 'uuid'
import { calibrationFromJob } from '#core/run/calibrationFromJob'
import type { RunRecord } from '#core/run/foldRun'
import type { JobApplication } from '#shared/schemas/job'
import type { Repositories } from '../repositories/forOrganization'
import { saveCalibration } from './saveCalibration'

/**
 * Keeps what a finished run weighed or measured back as a calibration of its machine, once: its id follows
 * from the run's own, and whoever changed it since keeps what they wrote. A machine that is gone learns
 * nothing.
 */
export async function keepJobCalibration(
  repositories: Repositories,
  { id, document }: JobApplication,
  { state, used, finishedAt, details, frozen }: RunRecord,
  { dayOf }: { readonly dayOf: (instant: string) => string },
): Promise<void> {
  if (state !== 'done' || !used || finishedAt === undefined) return
  const calibrationId = derived('calibration', id)
  const learned = calibrationFromJob(
    document,
    used,
    dayOf(finishedAt),
    details?.by ?? '',
    derived('run', id),
    frozen.worked?.dial?.setting,
  )
  if (!learned || !(await repositories.equipment.find(learned.equipmentId))) return
  const { calibrations } = repositories
  if ((await calibrations.find(calibrationId)) ?? (await calibrations.findDeleted(calibrationId))) return
  await saveCalibration(repositories, calibrationId, { version: 0, ...learned })
}
