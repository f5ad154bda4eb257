import { dayText } from '#core/calendar/dayText'
import type { SeasonWindow, WindowName, WindowState } from '#core/season/windows/seasonWindow'

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
export function datesOf({ opens, closes }: Pick<SeasonWindow, 'opens' | 'closes'>): string {
  if (opens !== undefined && closes !== undefined) return `${dayText(opens)} to ${dayText(closes)}`
  if (opens !== undefined) return `from ${dayText(opens)}`
  return closes === undefined ? '' : `to ${dayText(closes)}`
}
