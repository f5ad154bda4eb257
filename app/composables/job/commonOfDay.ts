import { commonStop, type CommonStop } from '#core/run/common/commonStop'
import type { Quantity } from '#core/quantity/quantity'
import type { VolumeUnit } from '#core/quantity/units'
import type { Run } from '#shared/schemas/run'

/** One application's part in its day's common mix, as it stands here; undefined where it has none. */
export async function commonOfDay(day: string, applicationId: string): Promise<CommonStop | undefined> {
  const { load, mixes, applications } = useDay(day)
  await load()
  const own = applications.value.find((one) => one.applicationId === applicationId)
  const mix = mixes.value.find(({ stops }) => stops.some((stop) => stop.applicationId === applicationId))
  return own && mix && commonStop(mix, own)
}

/** What the site before really left in the tank, if that is on record and known here. */
export async function leftBefore({ from }: CommonStop): Promise<Quantity<VolumeUnit> | undefined> {
  if (!from) return undefined
  const run = await $fetch<Run>(crewUrl(`/applications/${from.applicationId}/events`)).catch(() => undefined)
  return run?.record?.used?.left as Quantity<VolumeUnit> | undefined
}
