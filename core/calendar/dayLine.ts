/** The hours of a day as a line: where spans of it begin and end. */
export interface DayLine {
  /** First and last hour shown. */
  readonly from: number
  readonly to: number
  /** Now, as a share of the line. */
  readonly now: number
  /** Each span as shares of the line; `beyond` when it goes on after the day. */
  readonly bars: readonly { readonly from: number; readonly to: number; readonly beyond: boolean }[]
}

/** A working day, stretched where something begins earlier or ends later. */
const [FIRST_HOUR, LAST_HOUR] = [6, 20]

/**
 * @param spans by their instants, ISO @param day YYYY-MM-DD on the clock of the zone @param now ISO
 * @returns the line and a bar for each span, clipped to it
 */
export function dayLine(
  spans: readonly { readonly from: string; readonly to: string }[],
  day: string,
  now: string,
  timeZone: string,
): DayLine {
  const hour = hourReader(day, timeZone)
  const hours = spans.map((span) => [hour(span.from), hour(span.to)] as const)
  const present = hour(now)
  const from = Math.max(0, Math.floor(Math.min(FIRST_HOUR, present, ...hours.map(([begin]) => begin))))
  const to = Math.min(24, Math.ceil(Math.max(LAST_HOUR, present, ...hours.map(([, end]) => end))))
  const share = (at: number) => Math.min(1, Math.max(0, (at - from) / (to - from)))
  return {
    from,
    to,
    now: share(present),
    bars: hours.map(([begin, end]) => ({ from: share(begin), to: share(end), beyond: end > to })),
  }
}

/** Hours on the wall clock since the midnight that began a day; the day before is below nought. */
function hourReader(day: string, timeZone: string): (instant: string) => number {
  const format = new Intl.DateTimeFormat('en-GB', {
    timeZone,
    year: 'numeric',
    month: '2-digit',
    day: '2-digit',
    hour: '2-digit',
    minute: '2-digit',
    hourCycle: 'h23',
  })
  const midnight = Date.parse(`${day}T00:00:00Z`)
  return (instant) => {
    const parts = new Map(format.formatToParts(new Date(instant)).map(({ type, value }) => [type, value]))
    const part = (name: Intl.DateTimeFormatPartTypes) => parts.get(name) ?? '00'
    const wall = Date.parse(
      `${part('year')}-${part('month')}-${part('day')}T${part('hour')}:${part('minute')}:00Z`,
    )
    return (wall - midnight) / 3_600_000
  }
}
