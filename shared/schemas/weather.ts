import * as v from 'valibot'
import type { WeatherHour } from '#core/weather/hours/weatherHour'
import { LENGTH_UNITS, TEMPERATURE_UNITS } from '#core/quantity/units'
import { enteredOf } from '#core/shape/figures'
import { BlankOrDay, Day, Line, Name, Notes, Uuid, Version } from '#core/shape/texts'

/** A weather station of the crew's, or one whose file it takes. */
export const SaveStationSchema = v.strictObject({
  version: Version,
  name: Name,
  document: v.strictObject({
    schema: v.literal(1),
    /** Degrees as typed, south and west below zero. */
    latitude: Line,
    longitude: Line,
    notes: Notes,
    /** A service its readings come from by themselves; absent or blank: typed, or from files. */
    service: v.optional(Line),
  }),
})
export type SaveStation = v.InferOutput<typeof SaveStationSchema>
export interface Station extends SaveStation {
  readonly id: string
  readonly updatedAt: string
}

/** A probe read on an area. */
export const SaveProbeSchema = v.strictObject({
  version: Version,
  areaId: Uuid,
  document: v.strictObject({
    schema: v.literal(1),
    on: BlankOrDay,
    soil: enteredOf(TEMPERATURE_UNITS),
    depth: enteredOf(LENGTH_UNITS),
    /** Time of day and place, in words. */
    at: Line,
    where: Line,
  }),
})
export type SaveProbe = v.InferOutput<typeof SaveProbeSchema>
export interface Probe extends SaveProbe {
  readonly id: string
  readonly updatedAt: string
}

const Degrees = v.pipe(
  v.number('must be a number'),
  v.minValue(-90, 'must be from -90 to 60 °C'),
  v.maxValue(60, 'must be from -90 to 60 °C'),
)
const Share = v.pipe(v.number(), v.minValue(0), v.maxValue(1, 'must be from 0 to 1'))
const Percent = v.pipe(v.number(), v.minValue(0), v.maxValue(100, 'must be at most 100 %'))
const Metres = v.pipe(v.number(), v.minValue(0), v.maxValue(3, 'must be at most 3 m'))
const Wind = v.pipe(v.number(), v.minValue(0), v.maxValue(120, 'must be at most 120 m/s'))
const MOST_HOURS = 10_000
/** Hours of a station by the clock of the place, °C, m/s and m; days follow from them. */
export const SaveHoursSchema = v.strictObject({
  hours: v.pipe(
    v.array(
      v.strictObject({
        on: Day,
        hour: v.pipe(v.number(), v.integer(), v.minValue(0), v.maxValue(23, 'must be from 0 to 23')),
        air: Degrees,
        humidity: v.optional(Percent),
        wind: v.optional(Wind),
        gust: v.optional(Wind),
        rain: v.optional(Metres),
        chance: v.optional(Share),
        forecast: v.boolean(),
      }),
    ),
    v.minLength(1, 'must have at least one hour'),
    v.maxLength(MOST_HOURS, `must have at most ${MOST_HOURS} hours`),
  ),
})

const MOST_DAYS = 4000
/** Days of a station, °C and m; what was measured is not written over by a forecast. */
export const SaveWeatherSchema = v.strictObject({
  days: v.pipe(
    v.array(
      v.pipe(
        v.strictObject({
          on: Day,
          least: Degrees,
          most: Degrees,
          mean: v.optional(Degrees),
          humidity: v.optional(Percent),
          rain: v.optional(Metres),
          soil: v.optional(Degrees),
          forecast: v.boolean(),
        }),
        v.check(({ least, most }) => least <= most, 'The least of a day is not above its most.'),
      ),
    ),
    v.minLength(1, 'must have at least one day'),
    v.maxLength(MOST_DAYS, `must have at most ${MOST_DAYS} days`),
    v.check((days) => new Set(days.map(({ on }) => on)).size === days.length, 'Each day is told once.'),
  ),
})

/** Days of a station as a file of its own, for other programs; °C, %, m. */
export const WeatherFileSchema = v.object({
  format: v.literal('weather'),
  schema: v.literal(1),
  station: v.object({ name: v.string(), latitude: v.string(), longitude: v.string() }),
  days: SaveWeatherSchema.entries.days,
})
export type WeatherFileDocument = v.InferOutput<typeof WeatherFileSchema>

/** A station with how much of it there is. */
export interface StationRow extends Station {
  readonly firstDay: string | null
  readonly lastDay: string | null
  readonly days: number
  readonly sites: readonly { readonly id: string; readonly name: string }[]
}

/** What a station holds, as its picture gets it: rows without names, for there are thousands. */
export interface StationWeather {
  readonly id: string
  readonly name: string
  readonly today: string
  /** Day, least and most °C, rain in m. */
  readonly days: readonly (readonly [string, number, number, number | null])[]
  /** Day, hour, air °C, rain in m, wind in m/s. */
  readonly hours: readonly (readonly [string, number, number, number | null, number | null])[]
}

/** The hours about now of a site's station, and between which it is light; null where nobody knows. */
export interface SiteHours {
  /** Blank where the site has none. */
  readonly station: string
  readonly light: { readonly from: number; readonly to: number } | null
  readonly hours: readonly WeatherHour[]
}
