import { dayText } from '#core/calendar/dayText'
import type { Intention, IntentionState } from '#core/program/intentions'

/** How a step stands, as a mark and a word. */
export const STEP_MARKS = {
  ahead: { level: 'open', word: 'to come' },
  open: { level: 'set', word: 'open' },
  late: { level: 'warn', word: 'late' },
  missed: { level: 'stop', word: 'missed' },
  planned: { level: 'set', word: 'planned' },
  done: { level: 'good', word: 'done' },
  'left out': { level: 'open', word: 'left out' },
  unknown: { level: 'open', word: 'not known' },
} as const satisfies Readonly<Record<IntentionState, object>>

const short = (day: string) => dayText(day).replace(/ \d{4}$/, '')

/** The days of a step: its own once it is done or planned, else from and to, about where it is to come. */
export function stepDays({ on, from, to, early, late }: Intention): string {
  if (on !== undefined) return short(on)
  if (from === undefined) return ''
  const span = to === undefined ? `from ${short(from)}` : `${short(from)} to ${short(to)}`
  return early === undefined || late === undefined || early === late
    ? span
    : `about ${span}; opens ${short(early)} to ${short(late)}`
}
