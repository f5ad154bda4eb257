import { dayText } from '#core/calendar/dayText'
import type { DaySpan, SeasonWindow, WindowName, WindowState } from '#core/season/windows/seasonWindow'

/** Windows and their states as people read them. */
export const WINDOW_TITLES: Readonly<Record<WindowName, string>> = {
  'cool feed': 'Feed',
  'warm feed': 'Feed',
  'spring pre-emergent': 'Spring barrier',
  'second half': 'Its second half',
  'autumn pre-emergent': 'Autumn barrier',
  'root disease': 'Root disease',
  'spring dead spot': 'Spring dead spot',
  potassium: 'Potassium',
}
export const STATE_WORDS: Readonly<Record<WindowState, string>> = {
  before: 'not yet',
  open: 'open',
  closing: 'closing',
  late: 'late',
  over: 'over',
  unknown: 'not known',
}

/** From when to when, as far as it is known. */
export function datesOf({
  opens,
  closes,
  opensBetween,
  closesBetween,
}: Pick<SeasonWindow, 'opens' | 'closes' | 'opensBetween' | 'closesBetween'>): string {
  const between = [
    ...(opensBetween ? [`opens ${spanText(opensBetween)}`] : []),
    ...(closesBetween ? [`closes ${spanText(closesBetween)}`] : []),
  ]
  return [daysOf({ opens, closes }), ...between].join('; ')
}

const shortDay = (day: string) => dayText(day).replace(/ \d{4}$/, '')
/** Between which days it comes; one that the year does not show is left open. */
function spanText({ early, late }: DaySpan): string {
  if (early !== undefined && late !== undefined)
    return early === late ? shortDay(early) : `${shortDay(early)} to ${shortDay(late)}`
  return early === undefined
    ? late === undefined
      ? ''
      : `by ${shortDay(late)}`
    : `${shortDay(early)} or later`
}

function daysOf({ opens, closes }: Pick<SeasonWindow, 'opens' | 'closes'>): string {
  if (opens !== undefined && closes !== undefined) return `${dayText(opens)} to ${dayText(closes)}`
  if (opens !== undefined) return `from ${dayText(opens)}`
  return closes === undefined ? '' : `to ${dayText(closes)}`
}
