import { daysAfter } from '../calendar/daysBetween'
import type { ProductKind } from '../label/productDocument'
import type { Intention } from './intentions'

/** One entry of a calendar: whole days, both counted, YYYY-MM-DD. */
export interface CalendarEntry {
  readonly id: string
  readonly from: string
  readonly to: string
  readonly title: string
  readonly words: string
}

/** What kinds of product are to somebody whose lawn it is. */
const PLAIN_WORDS: Readonly<Record<ProductKind | '', string>> = {
  fertilizer: 'Feed',
  iron: 'Iron for colour',
  fungicide: 'Protection against disease',
  insecticide: 'Protection against insects',
  'pre-emergent herbicide': 'Barrier against weeds that sprout',
  'post-emergent herbicide': 'Work against weeds',
  'growth regulator': 'Slower growth for an even lawn',
  'wetting agent': 'Help for water into the soil',
  adjuvant: 'Lawn work',
  dye: 'Colour',
  'soil conditioner': 'Soil conditioner',
  '': '',
}
const SHOWN: ReadonlySet<Intention['state']> = new Set(['ahead', 'open', 'late', 'planned'])
/** A window whose end is not known is shown so long. */
const OPEN_DAYS = 14

interface PlacedIntentions {
  readonly area: { readonly id: string; readonly name: string }
  readonly site: { readonly name: string }
  readonly intended: readonly Intention[]
}

/** Steps to come as a crew's calendar tells them. */
export const crewEntries = (places: readonly PlacedIntentions[]): readonly CalendarEntry[] =>
  places.flatMap(({ area, site, intended }) =>
    shown(intended).map((one) => ({
      ...datesOf(one, area.id),
      title: `${site.name}, ${area.name}: ${one.title}`,
      words: one.reason,
    })),
  )

/**
 * The same for whose lawn it is, in plain words, from today on; lawns with the same on the same days are told
 * together.
 */
export function clientEntries(places: readonly PlacedIntentions[], today: string): readonly CalendarEntry[] {
  const found = new Map<string, CalendarEntry>()
  for (const { area, intended } of places)
    for (const one of shown(intended)) {
      const dates = datesOf(one, area.id)
      if (dates.to < today) continue
      const what = PLAIN_WORDS[one.kind] || one.title
      const key = `${dates.from} ${dates.to} ${what}`
      const before = found.get(key)
      found.set(
        key,
        before
          ? { ...before, title: `${before.title}, ${area.name}` }
          : {
              ...dates,
              title: `${what}: ${area.name}`,
              words:
                'About these days, as the weather allows; we tell you the day itself before we come.' +
                (one.kind === '' ? '' : ' Keep people and pets off until we say so.'),
            },
      )
    }
  return [...found.values()]
}

const shown = (intended: readonly Intention[]): readonly Intention[] =>
  intended.filter(({ state, from }) => SHOWN.has(state) && from !== undefined)

const datesOf = ({ stepId, occurrence, state, on, from = '', to }: Intention, areaId: string) => ({
  id: `${areaId}-${stepId}-${occurrence}`,
  from: state === 'planned' ? (on ?? from) : from,
  to: state === 'planned' ? (on ?? from) : (to ?? daysAfter(from, OPEN_DAYS)),
})
