import { fromFahrenheit } from '../../quantity/temperature'
import type { Grass } from '../../ground/grasses'
import type { Half } from './halfYear'

/** Windows of the season that soil temperature opens and closes. */
export type BandName =
  | 'cool feed'
  | 'warm feed'
  | 'spring pre-emergent'
  | 'autumn pre-emergent'
  | 'root disease'
  | 'spring dead spot'
  | 'potassium'

/** A window of one half of the year: from one soil temperature to another, means of five days, °C. */
export interface Band {
  readonly name: BandName
  readonly half: Half
  /** `spring`: it opened in the warming half. */
  readonly opens: number | 'spring'
  /** `autumn`: it closes in the cooling half. */
  readonly closes: number | 'autumn'
  /** It closes only when the mean has held for several days, and is then late until here. */
  readonly lateTo?: number
  /** Grasses it is for; absent: all. */
  readonly season?: Grass['season']
  /** No seed may be sown into it. */
  readonly barrier?: true
  /** What it is for, and what lies beyond it. */
  readonly why: string
  readonly late?: string
}

/**
 * Every window and its soil temperatures.
 * Source: trade.md 10; those of potassium are ours (decision 024).
 */
export const BANDS: readonly Band[] = [
  {
    name: 'cool feed',
    half: 'warming',
    season: 'cool',
    opens: fromFahrenheit(50),
    closes: fromFahrenheit(65),
    why: 'a light feed once it grows and was mown; the main one comes in autumn',
  },
  {
    name: 'cool feed',
    half: 'cooling',
    season: 'cool',
    opens: fromFahrenheit(65),
    closes: fromFahrenheit(50),
    why: 'the main feed of the year',
  },
  {
    name: 'warm feed',
    half: 'warming',
    season: 'warm',
    opens: fromFahrenheit(65),
    closes: 'autumn',
    why: 'a light start at half green, the whole when it is fully green',
  },
  {
    name: 'warm feed',
    half: 'cooling',
    season: 'warm',
    opens: 'spring',
    closes: fromFahrenheit(65),
    why: 'no quick nitrogen on turf that goes dormant',
  },
  {
    name: 'spring pre-emergent',
    half: 'warming',
    opens: fromFahrenheit(50),
    closes: fromFahrenheit(55),
    lateTo: fromFahrenheit(70),
    barrier: true,
    why: 'a barrier against summer annual grasses',
    late: 'it still stops what has not sprouted; use an active that reaches young seedlings',
  },
  {
    name: 'autumn pre-emergent',
    half: 'cooling',
    opens: fromFahrenheit(70),
    closes: fromFahrenheit(55),
    lateTo: fromFahrenheit(45),
    barrier: true,
    why: 'a barrier against winter annuals',
    late: 'it still stops what has not sprouted; what has is left to a post-emergent',
  },
  {
    name: 'root disease',
    half: 'warming',
    season: 'cool',
    opens: fromFahrenheit(55),
    closes: fromFahrenheit(65),
    why: 'necrotic ring spot as it opens, summer patch later in it, where they were seen',
  },
  {
    name: 'spring dead spot',
    half: 'cooling',
    season: 'warm',
    opens: fromFahrenheit(70),
    closes: fromFahrenheit(60),
    why: 'two applications in autumn where it was seen',
  },
  {
    name: 'potassium',
    half: 'warming',
    season: 'cool',
    opens: fromFahrenheit(60),
    closes: fromFahrenheit(70),
    why: 'before heat',
  },
  {
    name: 'potassium',
    half: 'cooling',
    season: 'cool',
    opens: fromFahrenheit(60),
    closes: fromFahrenheit(50),
    why: 'before winter',
  },
  {
    name: 'potassium',
    half: 'cooling',
    season: 'warm',
    opens: fromFahrenheit(75),
    closes: fromFahrenheit(65),
    why: 'before it goes dormant',
  },
]
