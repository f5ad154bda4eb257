import { QueryTypes } from 'sequelize'
import type { ProbeReading } from '#core/weather/soilTemperature'
import type { WeatherDay } from '#core/weather/weatherDay'
import type { WeatherHour } from '#core/weather/hours/weatherHour'
import type { AreaProgram, Program, SaveAreaProgram, SaveProgram } from '#shared/schemas/program'
import type { Probe, SaveProbe, SaveStation, Station } from '#shared/schemas/weather'
import type { AreaProgramModel, ProbeModel, ProgramModel, StationModel } from '../database/weatherModels'
import { editableRows, namedRow, plainRow, type EditableRows } from './editableRows'
import { noteHistory } from './history'
import type { Scope } from './scope'

export interface ProbeFields extends Omit<SaveProbe, 'version'> {
  readonly onDay: string | null
  readonly soil: number | null
}
export type StationsRepository = EditableRows<Station, Omit<SaveStation, 'version'>>
export interface ProbesRepository extends EditableRows<Probe, ProbeFields> {
  /** Readings of an area that have a day and a figure. */
  readonly ofArea: (areaId: string) => Promise<readonly ProbeReading[]>
  /** Those of every area. */
  readonly ofAreas: () => Promise<readonly (ProbeReading & { readonly areaId: string })[]>
}

export type ProgramsRepository = EditableRows<Program, Omit<SaveProgram, 'version'>>
export type AreaProgramsRepository = EditableRows<AreaProgram, Omit<SaveAreaProgram, 'version'>>

/** What a station holds. */
interface StationSpan {
  readonly stationId: string
  readonly firstDay: string
  readonly lastDay: string
  readonly days: number
  /** The last day that came true; null where all is forecast. */
  readonly lastSeen: string | null
}

export interface WeatherRepository {
  /** Writes down that somebody took days or hours in. */
  readonly noteTaken: (stationId: string) => Promise<void>
  readonly spans: () => Promise<readonly StationSpan[]>
  /** Writes hours over those that are there; a forecast does not write over what was measured. */
  readonly saveHours: (stationId: string, hours: readonly WeatherHour[]) => Promise<void>
  /** Hours of a station in their order, both days counted. */
  readonly hoursBetween: (stationId: string, from: string, to: string) => Promise<readonly WeatherHour[]>
  /** Writes days over those that are there; a forecast does not write over what was measured. */
  readonly save: (stationId: string, days: readonly WeatherDay[]) => Promise<void>
  /** Days of a station in their order, both ends counted. */
  readonly between: (stationId: string, from: string, to: string) => Promise<readonly WeatherDay[]>
}

export const stationsRepository = (scope: Scope): StationsRepository =>
  editableRows<StationModel, Station, Omit<SaveStation, 'version'>>(
    scope,
    scope.database.models.stations,
    namedRow,
    ['name'],
  )

export const programsRepository = (scope: Scope): ProgramsRepository =>
  editableRows<ProgramModel, Program, Omit<SaveProgram, 'version'>>(
    scope,
    scope.database.models.programs,
    namedRow,
    ['name'],
  )

export const areaProgramsRepository = (scope: Scope): AreaProgramsRepository =>
  editableRows<AreaProgramModel, AreaProgram, Omit<SaveAreaProgram, 'version'>>(
    scope,
    scope.database.models.areaPrograms,
    plainRow('areaId', 'programId', 'document'),
    ['areaId'],
  )

export const probesRepository = (scope: Scope): ProbesRepository => ({
  ...editableRows<ProbeModel, Probe, ProbeFields>(
    scope,
    scope.database.models.probes,
    plainRow('areaId', 'document'),
    ['onDay'],
  ),
  ofArea: async (areaId) => readings(scope, { areaId }),
  ofAreas: async () => readings(scope, {}),
})

async function readings(
  { database, organizationId, options }: Scope,
  where: { readonly areaId?: string },
): Promise<readonly (ProbeReading & { readonly areaId: string })[]> {
  const rows = await database.models.probes.findAll({
    where: { ...where, organizationId, deletedAt: null },
    order: [
      ['onDay', 'ASC'],
      ['id', 'ASC'],
    ],
    ...options,
  })
  return rows.flatMap(({ areaId, onDay, soil }) =>
    onDay !== null && soil !== null ? [{ areaId, on: onDay, soil }] : [],
  )
}

export function weatherRepository(scope: Scope): WeatherRepository {
  const {
    database: { sequelize },
    organizationId,
    options,
  } = scope
  return {
    spans: () =>
      sequelize.query<StationSpan>(
        `SELECT station_id AS "stationId", min(on_day)::text AS "firstDay", max(on_day)::text AS "lastDay",
           count(*)::int AS days, (max(on_day) FILTER (WHERE NOT forecast))::text AS "lastSeen"
         FROM weather_days WHERE organization_id = :organizationId GROUP BY station_id`,
        { type: QueryTypes.SELECT, replacements: { organizationId }, ...options },
      ),
    saveHours: async (stationId, hours) => {
      // The later of an hour told twice counts: clocks that go back tell one of them again.
      const once = [...new Map(hours.map((hour) => [`${hour.on} ${hour.hour}`, hour])).values()]
      await sequelize.query(
        `INSERT INTO weather_hours (organization_id, station_id, on_day, hour, air, humidity, wind, gust,
           rain, chance, forecast)
         SELECT :organizationId, :stationId, "on", hour, air, humidity, wind, gust, rain, chance, forecast
         FROM jsonb_to_recordset(:hours) AS h("on" date, hour smallint, air float, humidity float, wind float,
           gust float, rain float, chance float, forecast boolean)
         ON CONFLICT (organization_id, station_id, on_day, hour) DO UPDATE SET air = excluded.air,
           humidity = excluded.humidity, wind = excluded.wind, gust = excluded.gust, rain = excluded.rain,
           chance = excluded.chance, forecast = excluded.forecast
         WHERE weather_hours.forecast OR NOT excluded.forecast`,
        { replacements: { organizationId, stationId, hours: JSON.stringify(once) }, ...options },
      )
    },
    hoursBetween: async (stationId, from, to) => {
      const rows = await sequelize.query<HourRow>(
        `SELECT on_day::text AS "on", hour, air, humidity, wind, gust, rain, chance, forecast
         FROM weather_hours WHERE organization_id = :organizationId AND station_id = :stationId
           AND on_day BETWEEN :from AND :to ORDER BY on_day, hour`,
        { type: QueryTypes.SELECT, replacements: { organizationId, stationId, from, to }, ...options },
      )
      return rows.map(({ humidity, wind, gust, rain, chance, ...hour }) => ({
        ...hour,
        humidity: humidity ?? undefined,
        wind: wind ?? undefined,
        gust: gust ?? undefined,
        rain: rain ?? undefined,
        chance: chance ?? undefined,
      }))
    },
    save: async (stationId, days) => {
      await sequelize.query(
        `INSERT INTO weather_days (organization_id, station_id, on_day, least, most, mean, humidity, rain,
           soil, forecast)
         SELECT :organizationId, :stationId, "on", least, most, mean, humidity, rain, soil, forecast
         FROM jsonb_to_recordset(:days) AS d("on" date, least float, most float, mean float, humidity float,
           rain float, soil float, forecast boolean)
         ON CONFLICT (organization_id, station_id, on_day) DO UPDATE SET least = excluded.least,
           most = excluded.most, mean = excluded.mean, humidity = excluded.humidity, rain = excluded.rain,
           soil = excluded.soil, forecast = excluded.forecast
         WHERE weather_days.forecast OR NOT excluded.forecast`,
        { replacements: { organizationId, stationId, days: JSON.stringify(days) }, ...options },
      )
    },
    noteTaken: (stationId) => noteHistory(scope, 'stations', stationId, 'changed'),
    between: async (stationId, from, to) => {
      const rows = await sequelize.query<WeatherRow>(
        `SELECT on_day::text AS "on", least, most, mean, humidity, rain, soil, forecast FROM weather_days
         WHERE organization_id = :organizationId AND station_id = :stationId
           AND on_day BETWEEN :from AND :to ORDER BY on_day`,
        {
          type: QueryTypes.SELECT,
          replacements: { organizationId, stationId, from, to },
          ...options,
        },
      )
      return rows.map(({ mean, humidity, rain, soil, ...day }) => ({
        ...day,
        mean: mean ?? undefined,
        humidity: humidity ?? undefined,
        rain: rain ?? undefined,
        soil: soil ?? undefined,
      }))
    },
  }
}

interface WeatherRow {
  readonly on: string
  readonly least: number
  readonly most: number
  readonly mean: number | null
  readonly humidity: number | null
  readonly rain: number | null
  readonly soil: number | null
  readonly forecast: boolean
}

interface HourRow {
  readonly on: string
  readonly hour: number
  readonly air: number
  readonly humidity: number | null
  readonly wind: number | null
  readonly gust: number | null
  readonly rain: number | null
  readonly chance: number | null
  readonly forecast: boolean
}
