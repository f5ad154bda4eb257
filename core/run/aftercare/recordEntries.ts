import { daysAfter } from '../../calendar/daysBetween'
import { lengthSi } from '../../quantity/quantity'
import type { RunRecord } from '../foldRun'
import { reentryEnds } from '../reentry'
import { lookDue } from './lookDue'
import { waterStanding } from './waterIn'

interface Told {
  readonly id: string
  readonly title: string
  readonly words: string
}
/** What follows from a record, as a calendar takes it: hours as ISO instants, or a whole day, YYYY-MM-DD. */
export type RecordEntry = Told &
  ({ readonly since: string; readonly until: string } | { readonly from: string; readonly to: string })

/**
 * What a calendar should know of work that is done: until when nobody goes back, by when it is watered in,
 * when to look at it, when it is due again.
 * @param id of the record; @param day it was finished on; @param now ISO instant
 */
export function recordEntries(
  id: string,
  { frozen, finishedAt, progress }: RunRecord,
  day: string,
  now: string,
): readonly RecordEntry[] {
  if (finishedAt === undefined) return []
  const lawns = frozen.request.areas.map(({ name }) => name ?? '').filter(Boolean)
  const words = [lawns.join(', '), frozen.labels.map(({ name }) => name).join(', ')]
    .filter(Boolean)
    .join(': ')
  const told = (what: string, title: string): Told => ({
    id: `${what}-${id}`,
    title: `${title}: ${frozen.site}`,
    words,
  })
  const back = reentryEnds(frozen.labels, finishedAt)
  const { limits } = frozen
  const water =
    limits &&
    waterStanding(
      { depth: limits.waterDepth, withinHours: limits.waterHours },
      finishedAt,
      progress.watered.map(({ depth }) => lengthSi(depth)),
      now,
    )
  const look = limits && lookDue(limits.kinds, day, progress.looks)
  const repeats = frozen.labels.flatMap(({ productId, name, repeatDays }) =>
    repeatDays === undefined ? [] : [{ productId, name, on: daysAfter(day, Math.round(repeatDays)) }],
  )
  return [
    ...(back === undefined
      ? []
      : [{ ...told('keep-off', 'Keep off, and not before it is dry'), since: finishedAt, until: back }]),
    ...(water?.until !== undefined && water.state === 'waiting'
      ? [{ ...told('water', 'Water it in'), since: finishedAt, until: water.until }]
      : []),
    ...(look === undefined ? [] : [{ ...told('look', 'Look at what it did'), from: look, to: look }]),
    ...repeats.map(({ productId, name, on }) => ({
      ...told(`repeat-${productId}`, `Due again by, ${name}`),
      from: on,
      to: on,
    })),
  ]
}
