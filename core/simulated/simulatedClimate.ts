import { roundedToTenths } from '../quantity/tenths'
import { dayNumber, dayOfNumber } from '../calendar/dayNumber'
import { drawsFrom, normal } from '../quantity/draws'
import type { WeatherDay } from '../weather/weatherDay'

/** A place as its long years are: what a simulated station is made from. */
export interface Climate {
  /** Mean of the year and half of what summer is above winter, °C. */
  readonly mean: number
  readonly swing: number
  /** Days after 1 January on which it is coldest. */
  readonly coldest: number
  /** Usual range of a dry day from least to most, K. */
  readonly dayRange: number
  /** Share of days on which it rains. */
  readonly wetDays: number
  /** Mean depth of a rain, m. */
  readonly rainDepth: number
  /** Mean humidity of a dry day, %. */
  readonly humidity: number
}

/** How much of what one day was off the season is still there the next: warm and cold spells. */
const PERSISTENCE = 0.72
/** One standard deviation of what a day is off the season, K. */
const SPELL_SPREAD = 3.4
/** How much warmer it is before a front, and colder behind it, K. */
const FRONT = 1.2
const YEAR_DAYS = 365.2425
/** A wet day is followed by another so much more often. */
const WET_AFTER_WET = 1.8

/**
 * Days of a simulated station: season, spells that persist, fronts that bring rain, cloud and damp with it.
 * The same seed gives the same days.
 * @param from YYYY-MM-DD @param days how many
 */
export function simulatedClimate(
  climate: Climate,
  from: string,
  days: number,
  seed: number,
): readonly WeatherDay[] {
  const draw = drawsFrom(seed)
  const first = dayNumber(from)
  const spread = SPELL_SPREAD * Math.sqrt(1 - PERSISTENCE ** 2)
  let spell = 0
  let wet = false
  return Array.from({ length: days }, (_, i): WeatherDay => {
    spell = PERSISTENCE * spell + normal(draw, spread)
    const chance = Math.min(0.95, climate.wetDays * (wet ? WET_AFTER_WET : 1))
    const rains = draw() < chance / (1 + climate.wetDays * (WET_AFTER_WET - 1))
    // A front: mild air before it, cold air behind it.
    if (rains !== wet) spell += rains ? FRONT : -FRONT
    wet = rains
    const mean = usualMean(climate, first + i) + spell
    const range = climate.dayRange * (rains ? 0.6 : 1) * (0.8 + 0.4 * draw())
    const humidity = Math.min(99, Math.max(25, climate.humidity + (rains ? 18 : 0) + normal(draw, 7)))
    return {
      on: dayOfNumber(first + i),
      least: roundedToTenths(mean - range / 2),
      most: roundedToTenths(mean + range / 2),
      humidity: Math.round(humidity),
      rain: rains ? Math.round(-Math.log(1 - draw()) * climate.rainDepth * 1e4) / 1e4 : 0,
      forecast: false,
    }
  })
}

/** What a day is in the long mean of years, °C. @param day its number */
export function usualMean({ mean, swing, coldest }: Climate, day: number): number {
  const newYear = dayNumber(`${dayOfNumber(day).slice(0, 4)}-01-01`)
  return mean - swing * Math.cos((2 * Math.PI * (day - newYear - coldest)) / YEAR_DAYS)
}
