import { QueryTypes } from 'sequelize'
import type { ProbeReading } from '#core/weather/soilTemperature'
import type { WeatherDay } from '#core/weather/weatherDay'
import type { Probe, SaveProbe, SaveStation, Station } from '#shared/schemas/weather'
import type { ProbeModel, StationModel } from '../database/weatherModels'
import { editableRows, type EditableRows } from './editableRows'
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
}

export interface WeatherRepository {
  /** Writes days over those that are there; a forecast does not write over what was measured. */
  readonly save: (stationId: string, days: readonly WeatherDay[]) => Promise<void>
  /** Days of a station in their order, both ends counted. */
  readonly between: (stationId: string, from: string, to: string) => Promise<readonly WeatherDay[]>
}

export const stationsRepository = (scope: Scope): StationsRepository =>
  editableRows<StationModel, Station, Omit<SaveStation, 'version'>>(
    scope,
    scope.database.models.stations,
    ({ id, version, name, document, updatedAt }) => ({
      id,
      version,
      name,
      document,
      updatedAt: updatedAt.toISOString(),
    }),
    ['name'],
  )

export const probesRepository = (scope: Scope): ProbesRepository => ({
  ...editableRows<ProbeModel, Probe, ProbeFields>(
    scope,
    scope.database.models.probes,
    ({ id, version, areaId, document, updatedAt }) => ({
      id,
      version,
      areaId,
      document,
      updatedAt: updatedAt.toISOString(),
    }),
    ['onDay'],
  ),
  ofArea: async (areaId) => {
    const rows = await scope.database.models.probes.findAll({
      where: { organizationId: scope.organizationId, areaId, deletedAt: null },
      order: [
        ['onDay', 'ASC'],
        ['id', 'ASC'],
      ],
      ...scope.options,
    })
    return rows.flatMap(({ onDay, soil }) => (onDay !== null && soil !== null ? [{ on: onDay, soil }] : []))
  },
})

export function weatherRepository(scope: Scope): WeatherRepository {
  const {
    database: { sequelize },
    organizationId,
    options,
  } = scope
  return {
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
      await noteHistory(scope, 'stations', stationId, 'changed')
    },
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
