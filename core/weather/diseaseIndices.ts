import { dayOfNumber } from '../calendar/dayNumber'
import { sixDigits } from '../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import { severalDayMean } from './severalDayMean'
import type { WeatherSeries } from './weatherSeries'

type DiseaseIndexName = 'brown patch' | 'dollar spot'

export interface DiseaseIndex {
  readonly name: DiseaseIndexName
  /** YYYY-MM-DD */
  readonly on: string
  /** Brown patch: the index E; dollar spot: the probability, 0 to 1. */
  readonly value: number
  /** At or above what its authors act at. */
  readonly act: boolean
}

/** An index and what its authors act at, as people read them. */
export const toldIndex = ({ name, value }: Pick<DiseaseIndex, 'name' | 'value'>) =>
  name === 'dollar spot'
    ? { value: `${Math.round(100 * value)} %`, actAt: `${100 * DOLLAR_SPOT_ACTS} %` }
    : { value: value.toFixed(1), actAt: String(BROWN_PATCH_ACTS) }

/** Act at this E (Fidanza et al. 1996). */
const BROWN_PATCH_ACTS = 6
/** Act at this probability (Smith et al. 2018). */
const DOLLAR_SPOT_ACTS = 0.2
/** The model was made between these five-day means of air, °C. */
const DOLLAR_SPOT_RANGE = { from: 10, to: 35 } as const

/**
 * E = -21.5 + 0.15 RH + 1.4 T - 0.033 T2. Made on perennial ryegrass: advisory elsewhere.
 * @param humidity daily mean, % @param least least air of the day, °C
 * Source: Fidanza, Dernoeden and Grybauskas 1996, in trade.md 10.
 */
export const brownPatchIndex = (humidity: number, least: number): number =>
  -21.5 + 0.15 * humidity + 1.4 * least - 0.033 * least ** 2

/**
 * logit p = -11.4041 + 0.0894 RH + 0.1932 T, of five-day means.
 * @param humidity % @param air °C
 * @returns from 0 to 1; undefined outside 10 to 35 °C, where the model says nothing
 * Source: Smith et al. 2018, in trade.md 10.
 */
export function dollarSpotProbability(humidity: number, air: number): number | undefined {
  if (!(air >= DOLLAR_SPOT_RANGE.from && air <= DOLLAR_SPOT_RANGE.to)) return undefined
  return 1 / (1 + Math.exp(11.4041 - 0.0894 * humidity - 0.1932 * air))
}

/**
 * Both indices of every day they can be known for, in the order of days.
 * @param book gets the page `indices`: the last day's arithmetic
 */
export function diseaseIndices(
  series: WeatherSeries,
  book: WorkingBook = closedWorkingBook,
): readonly DiseaseIndex[] {
  const found: DiseaseIndex[] = []
  const [humidity, air] = [severalDayMean(series.humidity), severalDayMean(series.mean)]
  for (let i = 0; i < series.length; i++) {
    const on = dayOfNumber(series.first + i)
    const patch = brownPatchIndex(series.humidity[i] ?? Number.NaN, series.least[i] ?? Number.NaN)
    if (!Number.isNaN(patch))
      found.push({ name: 'brown patch', on, value: patch, act: patch >= BROWN_PATCH_ACTS })
    const spot = dollarSpotProbability(humidity[i] ?? Number.NaN, air[i] ?? Number.NaN)
    if (spot !== undefined && !Number.isNaN(spot))
      found.push({ name: 'dollar spot', on, value: spot, act: spot >= DOLLAR_SPOT_ACTS })
  }
  book.note('indices', () => [
    'Brown patch: E = -21.5 + 0.15 RH + 1.4 T - 0.033 T2, RH daily mean %, T least of the day °C; act at ' +
      '6. Made on perennial ryegrass: advisory elsewhere',
    'Dollar spot: logit p = -11.4041 + 0.0894 RH + 0.1932 T, five-day means, 10 to 35 °C; act at 20 %',
    ...found.slice(-2).map(({ name, on, value }) => `${on}, ${name}: ${sixDigits(value)}`),
  ])
  return found
}
