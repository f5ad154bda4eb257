import { dayNumber, dayOfNumber } from '../calendar/dayNumber'
import { counted } from '../quantity/counting'
import { sixDigits } from '../working/figureText'
import type { Figure } from '../working/figures'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import type { WeatherSeries } from './weatherSeries'

/** Degree-days of one day: what the middle between least and most is above the base. °C */
export const heatUnitsOfDay = (least: number, most: number, base: number): number =>
  Math.max(0, (least + most) / 2 - base)

export interface HeatUnits {
  /**
   * Degree-days C from the day after `since` to today, both counted; undefined where a day is not known.
   */
  readonly sum: number | undefined
  /** The day the threshold is reached, where the series goes that far. */
  readonly due: string | undefined
}

/**
 * Heat units since a day.
 * @param since, today YYYY-MM-DD @param base °C @param threshold degree-days C; undefined: nothing is due
 * @returns a hole too long to be bridged leaves sum and due unknown from there on
 * Source: trade.md 10.
 */
export function heatUnits(
  series: Pick<WeatherSeries, 'first' | 'length' | 'least' | 'most'>,
  since: string,
  today: string,
  base: number,
  threshold: number | undefined,
  figure: Figure = '',
  book: WorkingBook = closedWorkingBook,
): HeatUnits {
  const now = dayNumber(today)
  let sum = 0
  let due: string | undefined
  let upToToday: number | undefined = dayNumber(since) >= now ? 0 : undefined
  for (let day = dayNumber(since) + 1; day < series.first + series.length; day++) {
    const i = day - series.first
    sum += heatUnitsOfDay(series.least[i] ?? Number.NaN, series.most[i] ?? Number.NaN, base)
    if (Number.isNaN(sum)) break
    if (day === now) upToToday = sum
    if (threshold !== undefined && due === undefined && sum >= threshold) due = dayOfNumber(day)
    if (day >= now && (threshold === undefined || due !== undefined)) break
  }
  const days = Math.max(0, now - dayNumber(since))
  book.note(figure, () => [
    `Each day: (least + most) / 2 - ${sixDigits(base)} °C, never below 0`,
    upToToday === undefined
      ? `A day between ${since} and ${today} is not known: no sum`
      : `Summed over ${counted(days, 'day')} after ${since}, to ${today}: ${sixDigits(upToToday)} ` +
        'degree-days C',
    ...(threshold === undefined
      ? []
      : [
          due === undefined
            ? `${sixDigits(threshold)} is not reached in the days that are known`
            : `${sixDigits(threshold)} is reached on ${due}`,
        ]),
  ])
  return { sum: upToToday, due }
}
