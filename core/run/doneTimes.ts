import { parseClock } from '../calendar/parseClock'
import type { TimedEntry } from './carriedShape'

/** When it was done, as typed: the day YYYY-MM-DD, times as people write them; blank where untouched. */
export interface DoneTimesTyped {
  readonly day: string
  readonly from: string
  readonly to: string
}

/** The place and the moment it is read at. */
export interface DoneTimesAt {
  /** YYYY-MM-DD, and the ISO instant of now. */
  readonly today: string
  readonly now: string
  /** ISO instant of a time, HH:MM, on the place’s own clock. */
  readonly instantAt: (day: string, time: string) => string
}

export interface DoneTimesRead {
  /** Undefined where nothing was typed, or something of it is wrong. */
  readonly entered: TimedEntry | undefined
  /** What is wrong, by its field, and what would be right. */
  readonly problems: Readonly<Partial<Record<keyof DoneTimesTyped, string>>>
}

/** Hour of a day of which nobody noted more, for the clock's sake; it is not shown. */
export const NOON = '12:00'
const AHEAD = 'lies ahead: a record is of work that is done.'

/**
 * Reads when work that is entered afterwards was done. The day alone will do, and is kept as no more than
 * that; nothing on record lies ahead.
 * @example a day, from 7:10 to 8:20 am; only when it ended; only the day
 */
export function readDoneTimes(typed: DoneTimesTyped, { today, now, instantAt }: DoneTimesAt): DoneTimesRead {
  const wrong = (field: keyof DoneTimesTyped, words: string): DoneTimesRead => ({
    entered: undefined,
    problems: { [field]: words },
  })
  const blank = (text: string) => text.trim() === ''
  if (blank(typed.day) && blank(typed.from) && blank(typed.to)) return { entered: undefined, problems: {} }
  if (typed.day > today) return wrong('day', `That day ${AHEAD}`)
  const day = typed.day || today
  const from = blank(typed.from) ? undefined : parseClock(typed.from)
  const to = blank(typed.to) ? undefined : parseClock(typed.to)
  if (from && !from.ok) return wrong('from', from.error)
  if (to && !to.ok) return wrong('to', to.error)
  if (!to) {
    if (from) return wrong('to', 'When it ended is still missing.')
    const noon = instantAt(day, NOON)
    return { entered: { to: noon < now ? noon : now, only: 'day' }, problems: {} }
  }
  const [begun, ended] = [from && instantAt(day, from.value), instantAt(day, to.value)]
  if (begun !== undefined && begun > ended) return wrong('to', 'It ended before it began: check both.')
  if (ended > now) return wrong('to', `That ${AHEAD}`)
  return { entered: { ...(begun !== undefined && { from: begun }), to: ended }, problems: {} }
}
