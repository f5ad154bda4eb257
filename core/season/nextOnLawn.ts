import { daysBetween } from '../calendar/daysBetween'
import { dayText } from '../calendar/dayText'
import { toldIndex, type DiseaseIndex } from '../weather/diseaseIndices'
import { halfYearOf } from './windows/halfYear'
import { dayNumber, dayOfNumber } from '../calendar/dayNumber'
import type { AreaSeason, SeasonGround } from './areaSeason'
import type { SeasonWindow, WindowName } from './windows/seasonWindow'

/** Something that wants doing on a lawn, and why. */
export interface NextOnLawn {
  readonly what: string
  readonly reason: string
  /** Already late, or closing: it can't wait. */
  readonly presses: boolean
  /** Nothing is planned before somebody looked. */
  readonly asks: 'work' | 'look'
  /** What tells it. */
  readonly by: 'regulator' | 'window' | 'index' | 'scout'
}

const TITLES: Readonly<Record<WindowName, string>> = {
  'spring pre-emergent': 'First half of the barrier',
  'second half': 'Second half of the barrier',
  'autumn pre-emergent': 'Autumn barrier',
  'root disease': 'Root disease, preventive',
  'spring dead spot': 'Spring dead spot, preventive',
  'cool feed': 'Feed',
  'warm feed': 'Feed',
  potassium: 'Potassium',
}
/** Ground with what was seen to be ill on it. */
export interface LawnGround extends SeasonGround {
  readonly rootDisease: boolean
  /** Names of diseases on its record. */
  readonly diseases: readonly string[]
}
/** A regulator is told so many days before the growth comes back. */
const REBOUND_DAYS = 10

/**
 * What to do next, what presses first. A disease is prevented where it was seen before; elsewhere its weather
 * is a reason to look.
 * @param ground with `rootDisease`: whether one was seen here, and `diseases`: names of all that were
 * Source: trade.md 13 (fungicide: preventive only on areas with history).
 */
export function nextOnLawn(season: AreaSeason, ground: LawnGround, today: string): readonly NextOnLawn[] {
  const found = [
    ...season.regulators.flatMap((count): NextOnLawn[] => {
      const { product, sum, countedTo, threshold, due, known } = count
      if (due === undefined || daysBetween(today, due) > REBOUND_DAYS) return []
      const to = countedTo === today ? '' : ` to ${dayText(countedTo)}`
      const units = sum === undefined ? 'units not known' : `${Math.round(sum)} of ${threshold} units${to}`
      const when = due <= today ? `since ${dayText(due)}` : `${known ? '' : 'about '}${dayText(due)}`
      return [
        {
          what: due <= today ? 'Growth comes back' : 'Growth regulator before the rebound',
          reason: `${product}: ${units}, ${when}`,
          presses: true,
          asks: 'work',
          by: 'regulator',
        },
      ]
    }),
    ...season.windows
      .filter((window) => isOpen(window) && !isDone(window, season, ground, today))
      .map((window) => windowNext(window, ground)),
    ...season.indices
      .filter(({ act }) => act && !isCovered(season, 'Fungicide', today))
      .map((index) => diseaseNext(index, ground.diseases)),
  ]
  return found.toSorted((a, b) => Number(b.presses) - Number(a.presses))
}

function diseaseNext(index: DiseaseIndex, diseases: readonly string[]): NextOnLawn {
  const name = `${index.name[0]?.toUpperCase()}${index.name.slice(1)}`
  const told = toldIndex(index)
  const reason = `its index is ${told.value}, act at ${told.actAt}`
  const seen = diseases.some((one) => one.toLowerCase().includes(index.name))
  return seen
    ? {
        what: `${name}, preventive`,
        reason: `${reason}; it was seen here before`,
        presses: true,
        asks: 'work',
        by: 'index',
      }
    : {
        what: `${name}: look for it`,
        reason: `${reason}; none is on record here, so nothing is sprayed unseen`,
        presses: false,
        asks: 'look',
        by: 'index',
      }
}

const isOpen = ({ state }: SeasonWindow): boolean =>
  state === 'open' || state === 'closing' || state === 'late'

/** Something of that kind still works; of what nobody can tell the end of, it went down in the window. */
const isCovered = ({ lines }: AreaSeason, what: string, today: string, from = '9999'): boolean =>
  lines.some((line) => line.what === what && (line.to === undefined ? line.from >= from : line.to >= today))

/** Its work waits until one was seen here. */
const waitsForHistory = ({ name }: SeasonWindow, ground: LawnGround): boolean =>
  (name === 'root disease' || name === 'spring dead spot') && !ground.rootDisease

/** What is missed presses no more; a disease without a history here is looked for. Source: decide.md 2. */
function windowNext(window: SeasonWindow, ground: LawnGround): NextOnLawn {
  const { name, reason, state, closes } = window
  if (waitsForHistory(window, ground))
    return {
      what: `${SCOUTED[name] ?? TITLES[name]}: scout for it`,
      reason: 'none is on record here: nothing is sprayed unseen',
      presses: false,
      asks: 'look',
      by: 'scout',
    }
  const missed = closes === undefined ? 'Missed' : `Missed since ${dayText(closes)}`
  return {
    what: TITLES[name],
    reason: state === 'late' ? `${missed}. ${reason}` : reason,
    presses: state === 'closing',
    asks: 'work',
    by: 'window',
  }
}
const SCOUTED: Partial<Record<WindowName, string>> = {
  'root disease': 'Root disease',
  'spring dead spot': 'Spring dead spot',
}

/** On a lawn with a program its steps stand for the windows. */
export const besideProgram = (next: readonly NextOnLawn[]): readonly NextOnLawn[] =>
  next.filter(({ by }) => by !== 'window')

/** First day of the half of the year a window lies in: of those with two, the half that holds today. */
function halfBegan(name: WindowName, today: string, latitude: number): number {
  const [spring, autumn] = [halfYearOf('warming', today, latitude), halfYearOf('cooling', today, latitude)]
  if (name === 'spring pre-emergent') return spring.from
  if (name === 'autumn pre-emergent') return autumn.from
  return dayNumber(today) > spring.to ? autumn.from : spring.from
}

/** An application closed it: its own target's, from the day it went down. Source: decide.md 2. */
function isDone(
  { name, opens }: SeasonWindow,
  season: AreaSeason,
  ground: LawnGround,
  today: string,
): boolean {
  const from = halfBegan(name, today, ground.latitude)
  const since = opens ?? dayOfNumber(from)
  switch (name) {
    case 'root disease':
    case 'spring dead spot':
      return isCovered(season, 'Fungicide', today, since)
    case 'cool feed':
    case 'warm feed':
      return isCovered(season, 'Feed', today, since)
    case 'potassium':
      return season.lines.some((line) => line.potash && dayNumber(line.from) >= from)
    case 'spring pre-emergent':
    case 'autumn pre-emergent':
      return season.lines.some((line) => line.what === 'Barrier' && dayNumber(line.from) >= from)
    case 'second half':
      return false
  }
}
