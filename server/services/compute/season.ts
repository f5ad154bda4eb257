import type { ComputeIssue } from '#core/computeIssue'
import type { GrassName } from '#core/ground/grasses'
import { lengthSi } from '#core/quantity/quantity'
import { celsius } from '#core/quantity/temperature'
import { toldTemperature } from '#core/quantity/toldTemperature'
import { err, ok, type Result } from '#core/result'
import { coverageLines } from '#core/season/coverageLines'
import { endOf } from '#core/season/ends'
import { regulatorUnits, type RegulatorUnits } from '#core/season/regulators'
import { seasonWindows } from '#core/season/windows/seasonWindows'
import { dayOfNumber } from '#core/calendar/dayNumber'
import { diseaseIndices } from '#core/weather/diseaseIndices'
import { heatUnits, type HeatUnits } from '#core/weather/heatUnits'
import { soilTemperature } from '#core/weather/soilTemperature'
import { weatherSeries, type WeatherSeries } from '#core/weather/weatherSeries'
import { openWorkingBook, type WorkingBook } from '#core/working/working'
import type { SeasonAnswer, SeasonRequest, WireTemperature } from '#shared/schemas/compute/season'
import { answeredWorking } from './answeredWorking'

type Application = SeasonRequest['applications'][number]

/** The season of one place, for other programs. */
export function answerSeason(request: SeasonRequest): Result<SeasonAnswer, readonly ComputeIssue[]> {
  const series = weatherSeries(
    request.days.map(({ on, min, max, mean, rh, rain, soil, forecast }) => ({
      on,
      least: degrees(min),
      most: degrees(max),
      mean: mean && degrees(mean),
      humidity: rh,
      rain: rain && lengthSi(rain),
      soil: soil && degrees(soil),
      forecast,
    })),
  )
  if (!series.ok) {
    const { kind, index, message } = series.error
    return err([{ code: kind === 'absurd' ? 'impossible' : 'contradicts', path: `days.${index}`, message }])
  }
  const book = openWorkingBook()
  const asked = new Set(request.ask)
  const soil = soilTemperature(
    series.value,
    request.probes.map((probe) => ({ on: probe.on, soil: degrees(probe.soil) })),
    book,
  )
  const units = request.applications.map((application) => unitsOf(application, request.grass))
  const counted = request.applications.map((application, i) =>
    countedUnits(series.value, application, units[i], request.today, i, book),
  )
  return ok({
    ...(asked.has('soil') && { soil: soilDays(series.value, soil) }),
    ...(asked.has('heatUnits') && { heatUnits: heatAnswer(request.applications, units, counted) }),
    ...(asked.has('windows') && { windows: windowAnswer(request, series.value, soil.soil, book) }),
    ...(asked.has('indices') && {
      indices: diseaseIndices(series.value, book).map((index) => ({ ...index })),
    }),
    ...(asked.has('lines') && { lines: lineAnswer(request, counted) }),
    working: answeredWorking(book),
  })
}

const degrees = ({ value, unit }: WireTemperature): number => celsius({ value, unit: `°${unit}` })

/** What its label or its maker says of a regulator; else what is published of its active. */
function unitsOf(
  { kind, active, heatUnits: given }: Application,
  grasses: readonly GrassName[],
): RegulatorUnits | undefined {
  if (given)
    return {
      base: typeof given.base === 'number' ? given.base : degrees(given.base),
      threshold: given.threshold,
    }
  return kind === 'growth regulator' && active !== undefined ? regulatorUnits(active, grasses) : undefined
}

const countedUnits = (
  series: WeatherSeries,
  { on }: Application,
  units: RegulatorUnits | undefined,
  today: string,
  place: number,
  book: WorkingBook,
): HeatUnits | undefined =>
  units && heatUnits(series, on, today, units.base, units.threshold, `heatUnits.${place}`, book)

const heatAnswer = (
  applications: readonly Application[],
  units: readonly (RegulatorUnits | undefined)[],
  counted: readonly (HeatUnits | undefined)[],
): SeasonAnswer['heatUnits'] =>
  applications.flatMap(({ on }, i) => {
    const [unit, count] = [units[i], counted[i]]
    return unit && count
      ? [
          {
            since: on,
            base: unit.base,
            sum: count.sum ?? null,
            threshold: unit.threshold,
            ...(count.due !== undefined && { due: count.due }),
          },
        ]
      : []
  })

const soilDays = (
  { first }: WeatherSeries,
  { soil, give }: { readonly soil: Float64Array; readonly give: Float64Array },
): SeasonAnswer['soil'] =>
  [...soil].flatMap((c, i) =>
    Number.isNaN(c) ? [] : [{ on: dayOfNumber(first + i), c, give: give[i] ?? Number.NaN }],
  )

function windowAnswer(
  { grass, latitude, overseeding, applications, today }: SeasonRequest,
  { first }: WeatherSeries,
  soil: Float64Array,
  book: WorkingBook,
): SeasonAnswer['windows'] {
  const ground = {
    grasses: grass,
    latitude: typeof latitude === 'number' ? latitude : latitude.value,
    overseeding,
    barriers: applications.filter(({ kind }) => kind === 'pre-emergent herbicide').map(({ on }) => on),
  }
  const tell = (c: number) => `${toldTemperature(c, '°C')} (${toldTemperature(c, '°F')})`
  return seasonWindows({ first, soil }, ground, today, tell, book).map(({ opens, closes, ...told }) => ({
    ...told,
    ...(opens !== undefined && { opens }),
    ...(closes !== undefined && { closes }),
  }))
}

function lineAnswer(
  { applications, today }: SeasonRequest,
  counted: readonly (HeatUnits | undefined)[],
): SeasonAnswer['lines'] {
  const lasting = applications.map(({ on, kind, active, lastsDays }, i) => {
    const end = endOf({ on, kind, active, lastsDays, heatDue: counted[i]?.due })
    return { on, what: kind, to: end?.to }
  })
  return coverageLines(lasting, today).map(({ from, to, what, gapTo }) => ({
    from,
    to: to ?? null,
    what,
    ...(gapTo !== undefined && { gapTo }),
  }))
}
