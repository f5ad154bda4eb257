import { mixBooking, type MixBooking } from '#core/job/route/mixBooking'
import type { Run } from '#shared/schemas/run'

/**
 * What one site of a day's common mix has in its tank: carried on from what the site before really left, if
 * that is on record.
 */
export async function bookingFor(day: string, applicationId: string): Promise<MixBooking | undefined> {
  const { load, mixes } = useDay(day)
  await load()
  const mix = mixes.value.find(({ stops }) => stops.some((stop) => stop.applicationId === applicationId))
  const place = mix?.stops.findIndex((stop) => stop.applicationId === applicationId) ?? -1
  const stop = mix?.stops[place]
  if (!mix || !stop) return undefined
  const before = mix.stops[place - 1]
  const run =
    before &&
    (await $fetch<Run>(crewUrl(`/applications/${before.applicationId}/events`)).catch(() => undefined))
  const left = run?.record?.used?.left
  return mixBooking(mix, stop, left)
}
