import { daysBetween } from '../calendar/daysBetween'
import { dayText } from '../calendar/dayText'
import { toldIndex, type DiseaseIndex } from '../weather/diseaseIndices'
import { halfYearOf } from './windows/halfYear'
import { dayNumber } from '../calendar/dayNumber'
import type { AreaSeason, SeasonGround } from './areaSeason'
import type { SeasonWindow, WindowName } from './windows/seasonWindow'

/** Something that wants doing on a lawn, and why. */
export interface NextOnLawn {
  readonly what: string
  readonly reason: string
  /** Already late, or closing: it can't wait. */
  readonly presses: boolean
  /** What tells it. */
  readonly by: 'regulator' | 'window' | 'index'
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
      const { product, sum, threshold, due, known } = count
      if (due === undefined || daysBetween(today, due) > REBOUND_DAYS) return []
      const units = sum === undefined ? 'units not known' : `${Math.round(sum)} of ${threshold} units`
      const when = due <= today ? `since ${dayText(due)}` : `${known ? '' : 'about '}${dayText(due)}`
      return [
        {
          what: due <= today ? 'Growth comes back' : 'Growth regulator before the rebound',
          reason: `${product}: ${units}, ${when}`,
          presses: true,
          by: 'regulator',
        },
      ]
    }),
    ...season.windows
      .filter((window) => isOpen(window) && !isDone(window, season, ground, today))
      .map(({ name, reason, state }) => ({
        what: TITLES[name],
        reason,
        presses: state !== 'open',
        by: 'window' as const,
      })),
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
        by: 'index',
      }
    : {
        what: `${name}: look for it`,
        reason: `${reason}; none is on record here, so nothing is sprayed unseen`,
        presses: false,
        by: 'index',
      }
}

const isOpen = ({ state }: SeasonWindow): boolean =>
  state === 'open' || state === 'closing' || state === 'late'

const isCovered = ({ lines }: AreaSeason, what: string, today: string): boolean =>
  lines.some((line) => line.what === what && line.to !== undefined && line.to >= today)

/** On a lawn with a program its steps stand for the windows. */
export const besideProgram = (next: readonly NextOnLawn[]): readonly NextOnLawn[] =>
  next.filter(({ by }) => by !== 'window')

/** A window whose work is done, or that is not for this lawn. */
function isDone({ name }: SeasonWindow, season: AreaSeason, ground: LawnGround, today: string): boolean {
  if (name === 'root disease' || name === 'spring dead spot') return !ground.rootDisease
  if (name === 'cool feed' || name === 'warm feed') return isCovered(season, 'Feed', today)
  if (name !== 'spring pre-emergent' && name !== 'autumn pre-emergent') return false
  const { from } = halfYearOf(name === 'spring pre-emergent' ? 'warming' : 'cooling', today, ground.latitude)
  return season.lines.some((line) => line.what === 'Barrier' && dayNumber(line.from) >= from)
}
