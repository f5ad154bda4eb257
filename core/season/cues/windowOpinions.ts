import { dayNumber } from '../../calendar/dayNumber'
import { dayText } from '../../calendar/dayText'
import { usualOn, type UsualYear } from '../../weather/usualYear'
import { halfYearOf, type Half } from '../windows/halfYear'
import type { SeasonWindow, SoilDays, WindowGround, WindowName } from '../windows/seasonWindow'
import { seasonWindows } from '../windows/seasonWindows'
import type { Cue, CueKind } from './cue'

/** What another school says of a window than soil temperature, which is the one it goes by. */
export interface WindowOpinion {
  readonly name: WindowName
  readonly by: 'cues' | 'calendar'
  /** `silent`: nothing was noted, or too few years are known. */
  readonly says: 'not yet' | 'open' | 'closing' | 'over' | 'silent'
  readonly words: string
  /** Whether it says so too; undefined where it is silent, or the soil is not known. */
  readonly agrees: boolean | undefined
}

/** Why windows go by the soil, where nothing else is chosen. Source: trade.md 13. */
export const WHY_SOIL =
  'Windows go by soil temperature: it moves with the year and with the lawn. Bloom and growth are a second ' +
  'opinion of the same warmth; the calendar only knows how years usually are.'

interface CueReading {
  readonly half: Half
  /** The newest of these that was seen speaks. */
  readonly cues: Readonly<Partial<Record<CueKind, readonly [WindowOpinion['says'], string]>>>
}

/** Which cues speak of which window. Source: trade.md 10. */
const READINGS: Readonly<Partial<Record<WindowName, CueReading>>> = {
  'spring pre-emergent': {
    half: 'warming',
    cues: {
      'shrub in bloom': ['open', 'the shrub is in bloom: the barrier goes down now'],
      'shrub bloom over': ['closing', 'its bloom is over: seedlings are close behind'],
    },
  },
  'cool feed': {
    half: 'warming',
    cues: {
      'first mow': ['open', 'it was mown once, so it grows: a light feed'],
      'seed heads over': ['open', 'the flush of seed heads is over: feed now'],
    },
  },
  'warm feed': {
    half: 'warming',
    cues: {
      'half green': ['open', 'half green: a light start'],
      'fully green': ['open', 'fully green: the whole feed'],
    },
  },
}

/**
 * The schools of timing beside each window: what was seen on the site, and the calendar of the years before.
 * @param usual the usual year of this lawn's soil; undefined for too few days
 * Source: trade.md 13 (soil temperature is the default, others beside it).
 */
export function windowOpinions(
  windows: readonly SeasonWindow[],
  cues: readonly Cue[],
  usual: UsualYear | undefined,
  ground: WindowGround,
  today: string,
): readonly WindowOpinion[] {
  const usually = usual && usualWindows(usual, ground, today)
  return windows.flatMap((window) => {
    const { name } = window
    if (name === 'second half') return []
    const told = [byCues(name, cues, ground, today), byCalendar(name, usually, today)]
    return told.flatMap((one) => (one ? [{ ...one, agrees: agreed(one.says, window.state) }] : []))
  })
}

type Told = Omit<WindowOpinion, 'agrees'>

function byCues(
  name: WindowName,
  cues: readonly Cue[],
  { latitude }: WindowGround,
  today: string,
): Told | undefined {
  const reading = READINGS[name]
  if (!reading) return undefined
  const half = halfYearOf(reading.half, today, latitude)
  const now = dayNumber(today)
  if (now < half.from || now > half.to) return undefined
  const [newest] = cues
    .filter(({ on, kind }) => reading.cues[kind] && on <= today && dayNumber(on) >= half.from)
    .toSorted((a, b) => b.on.localeCompare(a.on))
  const told = newest && reading.cues[newest.kind]
  return told
    ? { name, by: 'cues', says: told[0], words: `${dayText(newest.on)}: ${told[1]}.` }
    : { name, by: 'cues', says: 'silent', words: 'Nothing was noted on this site this spring.' }
}

function byCalendar(
  name: WindowName,
  usually: readonly SeasonWindow[] | undefined,
  today: string,
): Told | undefined {
  const told = (says: Told['says'], words: string): Told => ({ name, by: 'calendar', says, words })
  if (!usually) return told('silent', 'Less than a year of days is known: nothing is usual yet.')
  const { opens, closes } = usually.find((one) => one.name === name) ?? {}
  if (opens === undefined || closes === undefined) return undefined
  const words = `Usually ${dayText(opens)} to ${dayText(closes)}.`
  return told(today < opens ? 'not yet' : today > closes ? 'over' : 'open', words)
}

/** The windows as they would stand in a year that is as usual from its first day to its last. */
function usualWindows(usual: UsualYear, ground: WindowGround, today: string): readonly SeasonWindow[] {
  const year = Number(today.slice(0, 4))
  const first = dayNumber(`${year - 1}-01-01`)
  const length = dayNumber(`${year + 2}-01-01`) - first
  const days: SoilDays = {
    first,
    soil: Float64Array.from({ length }, (_, i) => usualOn(usual, first + i)),
  }
  return seasonWindows(days, { ...ground, overseeding: undefined }, today, String)
}

function agreed(says: Told['says'], state: SeasonWindow['state']): boolean | undefined {
  if (says === 'silent' || state === 'unknown') return undefined
  if (says === 'not yet') return state === 'before'
  if (says === 'over') return state === 'late' || state === 'over'
  return state === 'open' || state === 'closing'
}

/** Days on which cues of a kind were seen in the half-year of a day, the first of them. */
export function cueDay(cues: readonly Cue[], kind: CueKind, from: string, to: string): string | undefined {
  return cues
    .filter((cue) => cue.kind === kind && cue.on >= from && cue.on <= to)
    .map(({ on }) => on)
    .toSorted()[0]
}
