/** A clock further off than this is told. */
export const TOLD_SKEW_MS = 120_000

/**
 * The time of an event by the server's clock: the device's own, less what its clock was found to be ahead
 * when it sent the event, and never later than the receipt. Hours without a network stay true; a clock that
 * runs years ahead passes no interval.
 * @param at the device's time of the event; @param sentAt its time of sending, if it said so; @param received
 *   the server's; ISO instants all
 * @returns an ISO instant by the server's clock
 */
export function eventTime(at: string, sentAt: string | undefined, received: string): string {
  const arrival = Date.parse(received)
  const ahead = sentAt === undefined ? 0 : Date.parse(sentAt) - arrival
  return new Date(Math.min(Date.parse(at) - ahead, arrival)).toISOString()
}

/**
 * Times of one device in the order in which it wrote: none is later than one it wrote after it, so that a
 * clock that was set back on the way turns nothing round.
 * @param times ISO instants, first written first
 */
export function inWrittenOrder(times: readonly string[]): readonly string[] {
  let latest = ''
  return times
    .toReversed()
    .map((time) => {
      latest = latest === '' || time < latest ? time : latest
      return latest
    })
    .toReversed()
}

/** Two devices' clocks are never quite one: less than this before the start is no contradiction. */
const SLACK_MS = 60_000

/** Whether a run's end lies before its start: somebody's clock is wrong, and nobody knows whose. */
export const endsBeforeItBegins = ({
  startedAt,
  finishedAt,
}: {
  readonly startedAt: string | undefined
  readonly finishedAt: string | undefined
}): boolean =>
  startedAt !== undefined &&
  finishedAt !== undefined &&
  Date.parse(finishedAt) < Date.parse(startedAt) - SLACK_MS

/** What to say of devices whose clocks were off; undefined where they were right. */
export function skewText(
  events: readonly { readonly at: string; readonly deviceAt?: string }[],
): string | undefined {
  const off = events.flatMap(({ at, deviceAt }) =>
    deviceAt === undefined ? [] : [Date.parse(deviceAt) - Date.parse(at)],
  )
  const [worst] = off.toSorted((a, b) => Math.abs(b) - Math.abs(a))
  if (worst === undefined || Math.abs(worst) < TOLD_SKEW_MS) return undefined
  const minutes = Math.round(Math.abs(worst) / 60_000)
  const told =
    minutes < 120
      ? `${minutes} minutes`
      : minutes < 2880
        ? `${Math.round(minutes / 60)} hours`
        : `${Math.round(minutes / 1440)} days`
  const way = worst > 0 ? 'ahead' : 'behind'
  return `The clock of a device was ${told} ${way}: the times here are the server’s.`
}
