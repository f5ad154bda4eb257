import type { ComputeIssue } from '#core/computeIssue'
import type { PrintedLine } from '#core/label/print/labelLine'
import { readLabel } from '#core/label/print/readLabel'
import { ok, type Result } from '#core/result'
import type { ReadLabelAnswer, ReadLabelRequest } from '#shared/schemas/compute/readLabel'

/** Printed directions read, for other programs. */
export function answerReadLabel({
  text,
  form,
}: ReadLabelRequest): Result<ReadLabelAnswer, readonly ComputeIssue[]> {
  const { lines, asks, notUnderstood } = readLabel(text, form)
  return ok({
    lines: lines.map(lineAnswer),
    asks: asks.map(({ from, ...ask }) => ({ ...ask, from: pairs(from) })),
    notUnderstood: notUnderstood.map(({ from, ...rest }) => ({ ...rest, from: pairs(from) })),
  })
}

const pairs = (from: PrintedLine['from']): [number, number][] => from.map(([start, end]) => [start, end])
const days = (value: number) => ({ value, unit: 'd' as const })
const hours = (value: number) => ({ value, unit: 'h' as const })

/** Times in the units of the wire, and the year by its name there. */
function lineAnswer({
  repeatFrom,
  repeatTo,
  reentry,
  rainfast,
  waterWithin,
  period,
  grasses,
  from,
  ...line
}: PrintedLine): ReadLabelAnswer['lines'][number] {
  return {
    ...line,
    ...(period && { period: period === 'calendar year' ? 'calendar-year' : '12-months' }),
    ...(repeatFrom !== undefined && { repeatFrom: days(repeatFrom) }),
    ...(repeatTo !== undefined && { repeatTo: days(repeatTo) }),
    ...(reentry !== undefined && { reentry: hours(reentry) }),
    ...(rainfast !== undefined && { rainfast: hours(rainfast) }),
    ...(waterWithin !== undefined && { waterWithin: hours(waterWithin) }),
    ...(grasses && { grasses: [...grasses] }),
    from: pairs(from),
  }
}
