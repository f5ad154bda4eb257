import { daysBetween } from '../calendar/daysBetween'
import { counted } from '../quantity/counting'
import { dayText } from '../calendar/dayText'
import type { AreaSeason } from './areaSeason'
import type { WindowName, WindowState } from './windows/seasonWindow'

/** A stretch of the year, as shares of it. */
interface YearBar {
  readonly kind: 'laid' | 'gap' | 'window' | 'mark'
  readonly from: number
  readonly to: number
  readonly words: string
  /** The same in whole words, with its days. */
  readonly told: string
}

/** One line under the year: what protects, holds back or feeds, and the windows for it. */
export interface YearRow {
  readonly name: string
  readonly bars: readonly YearBar[]
}

const ROW_OF: Readonly<Record<WindowName, string>> = {
  'spring pre-emergent': 'Barrier',
  'second half': 'Barrier',
  'autumn pre-emergent': 'Barrier',
  'root disease': 'Fungicide',
  'spring dead spot': 'Fungicide',
  'cool feed': 'Feed',
  'warm feed': 'Feed',
  potassium: 'Potassium',
}
const WINDOW_WORDS: Readonly<Record<WindowName, string>> = {
  'spring pre-emergent': 'first half',
  'second half': 'second half',
  'autumn pre-emergent': 'autumn barrier',
  'root disease': 'root disease',
  'spring dead spot': 'spring dead spot',
  'cool feed': 'feed',
  'warm feed': 'feed',
  potassium: 'potassium',
}
const ORDER = ['Barrier', 'Fungicide', 'Insecticide', 'Growth regulator', 'Feed', 'Potassium', 'Overseeding']
/** What is over says nothing of what comes. */
const SHOWN: ReadonlySet<WindowState> = new Set(['before', 'open', 'closing', 'late'])

/** Where a day lies in its year, from 0 on 1 January to 1 on 31 December; clipped to the year. */
export function shareOfYear(day: string, year: string): number {
  const days = daysBetween(`${year}-01-01`, `${Number(year) + 1}-01-01`)
  return Math.min(1, Math.max(0, daysBetween(`${year}-01-01`, day) / days))
}

/**
 * The lines under a year, in their order; a line without anything on it is left out.
 * @param today YYYY-MM-DD @param overseeding its day, blank for none
 */
export function yearRows(
  { lines, windows }: Pick<AreaSeason, 'lines' | 'windows'>,
  today: string,
  overseeding: string,
): readonly YearRow[] {
  const year = today.slice(0, 4)
  const share = (day: string) => shareOfYear(day, year)
  const laid = lines.flatMap(({ from, to, what, product, gapTo, overlapDays = 0 }) => [
    {
      row: what,
      bar: {
        kind: 'laid' as const,
        from: share(from),
        to: share(to ?? from),
        words: product,
        told:
          `${product}, ${dayText(from)}${to === undefined ? '' : ` to ${dayText(to)}`}` +
          (overlapDays > 0 ? `, ${counted(overlapDays, 'day')} over the next` : ''),
      },
    },
    ...(to !== undefined && gapTo !== undefined
      ? [
          {
            row: what,
            bar: {
              kind: 'gap' as const,
              from: share(to),
              to: share(gapTo),
              words: 'gap',
              told: `nothing from ${dayText(to)} to ${dayText(gapTo)}`,
            },
          },
        ]
      : []),
  ])
  const halfLaid = windows.some(({ name, opens }) => name === 'second half' && opens !== undefined)
  const open = windows.flatMap(({ name, opens, closes, state }) =>
    SHOWN.has(state) &&
    !(halfLaid && name === 'spring pre-emergent') &&
    (opens !== undefined || closes !== undefined)
      ? [
          {
            row: ROW_OF[name],
            bar: {
              kind: 'window' as const,
              from: share(opens ?? today),
              to: share(closes ?? `${year}-12-31`),
              words: WINDOW_WORDS[name],
              told:
                `${WINDOW_WORDS[name]}, ${opens === undefined ? 'open' : dayText(opens)} to ` +
                (closes === undefined ? 'not known' : dayText(closes)),
            },
          },
        ]
      : [],
  )
  const seed = overseeding.startsWith(year)
    ? [
        {
          row: 'Overseeding',
          bar: {
            kind: 'mark' as const,
            from: share(overseeding),
            to: share(overseeding),
            words: dayText(overseeding),
            told: `seed on ${dayText(overseeding)}`,
          },
        },
      ]
    : []
  const placed = [...laid, ...open, ...seed].filter(({ bar }) => bar.to > 0 && bar.from < 1)
  return ORDER.flatMap((name) => {
    const bars = placed.filter(({ row }) => row === name).map(({ bar }) => bar)
    return bars.length === 0 ? [] : [{ name, bars }]
  })
}
