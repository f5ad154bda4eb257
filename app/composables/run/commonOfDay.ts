import { commonStop, type CommonStop } from '#core/run/common/commonStop'
import { foldRun } from '#core/run/foldRun'
import type { Quantity } from '#core/quantity/quantity'
import type { VolumeUnit } from '#core/quantity/units'
import { eventsHere, keptRun } from './keptRuns'

/** One application's part in its day's common mix, as it stands here; undefined where it has none. */
export async function commonOfDay(day: string, applicationId: string): Promise<CommonStop | undefined> {
  const { load, applications } = useDay(day)
  await load()
  return commonStop(applications.value, applicationId)
}

/**
 * What the site before really left in the tank, by the server or, where that is out of reach, by what this
 * device wrote down; undefined while nobody wrote it down.
 */
export async function leftBefore({ from }: CommonStop): Promise<Quantity<VolumeUnit> | undefined> {
  if (!from) return undefined
  const { applicationId } = from
  const known = await ask(questions.run(applicationId)).catch(() => undefined)
  const kept = await keptRun(useCrewStore().organization?.id ?? '', applicationId)
  return foldRun(eventsHere(known, kept))?.used?.left as Quantity<VolumeUnit> | undefined
}
