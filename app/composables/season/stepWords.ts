import { dayText } from '#core/calendar/dayText'
import { yearDayText } from '#core/calendar/yearDay'
import type { ProgramStep } from '#core/program/programShape'
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

/** When a step of a program comes, in a few words; what is not typed yet is left open. */
export function whenWords({ when, times, every }: ProgramStep, steps: readonly ProgramStep[]): string {
  const words = {
    window: () => (when.window ? WINDOW_TITLES[when.window].toLowerCase() : 'no window chosen yet'),
    soil: () =>
      `soil ${when.half} from ${when.soilFrom.text} ${when.soilFrom.unit}` +
      (when.soilTo.text ? ` to ${when.soilTo.text} ${when.soilTo.unit}` : ''),
    dates: () => `${yearDayText(when.from)} to ${yearDayText(when.to)}`,
    'heat units': () => `${when.units} units above ${when.base} °C since ${yearDayText(when.since)}`,
    after: () =>
      `${when.daysFrom} to ${when.daysTo} days after ` +
      (steps.find(({ id }) => id === when.step)?.title ?? 'another step'),
    seed: () => `${when.daysFrom} to ${when.daysTo} days of the seed`,
    cue: () =>
      when.cue
        ? `${when.daysFrom} to ${when.daysTo} days after ${when.cue}`
        : 'nothing to be seen chosen yet',
  }[when.by]()
  return times.trim() && times.trim() !== '1' ? `${words}; ${times} times, ${every} days apart` : words
}
