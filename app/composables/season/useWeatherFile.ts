import { counted } from '#core/quantity/counting'
import { isClimateFile, readClimateFile, readElementRows } from '#core/weather/files/readClimateFile'
import { readWeatherRows } from '#core/weather/files/readWeatherRows'
import { readHourRows } from '#core/weather/files/readHourRows'
import type { TemperatureUnit } from '#core/quantity/units'
import { WeatherFileSchema } from '#shared/schemas/weather'
import * as v from 'valibot'
import type { WeatherFile } from '#core/weather/files/weatherFile'

const LARGEST_BYTES = 5_000_000
/** What one request takes. */
const DAYS_AT_ONCE = 4000
/** Whole days, so that none is made from half of its hours. */
const HOURS_AT_ONCE = 9600
const SHOWN_PROBLEMS = 6

/** A file of weather, read on this device and shown before its days are taken. */
export function useWeatherFile() {
  const crew = useCrewStore()
  const read = shallowRef<WeatherFile>()
  const problems = computed(() =>
    (read.value?.problems ?? [])
      .slice(0, SHOWN_PROBLEMS)
      .map(({ line, message }) => (line > 0 ? `Line ${line} ${message}.` : message)),
  )
  const more = computed(() => Math.max(0, (read.value?.problems.length ?? 0) - SHOWN_PROBLEMS))

  /** What temperatures without a unit are in, as somebody said. */
  const unit = ref<TemperatureUnit>(crew.temperatureUnit)
  let text = ''
  async function say(said: TemperatureUnit) {
    unit.value = said
    read.value = await fileOf(text)
  }
  async function open(file: File) {
    text = file.size > LARGEST_BYTES ? '' : await file.text()
    read.value =
      file.size > LARGEST_BYTES
        ? { days: [], problems: [{ line: 0, message: 'The file is over 5 MB: take fewer years at once.' }] }
        : await fileOf(text)
  }
  async function fileOf(text: string): Promise<WeatherFile> {
    if (isClimateFile(text)) return readClimateFile(text)
    if (text.trimStart().startsWith('{')) return documentOf(text)
    const { default: Papa } = await import('papaparse')
    const { data } = Papa.parse<Record<string, string>>(text.trim(), { header: true, skipEmptyLines: true })
    const metric = unit.value === '°C'
    const usual = {
      temperature: unit.value,
      rain: metric ? ('mm' as const) : ('in' as const),
      wind: metric ? ('m/s' as const) : ('mph' as const),
    }
    return readElementRows(data) ?? readHourRows(data, usual) ?? readWeatherRows(data, usual)
  }

  /** Sends the days. @returns how many, in words */
  async function take(stationId: string): Promise<string> {
    const days = read.value?.days ?? []
    const hours = read.value?.hours ?? []
    for (let from = 0; from < hours.length; from += HOURS_AT_ONCE)
      await tell('POST', `/stations/${stationId}/hours`, { hours: hours.slice(from, from + HOURS_AT_ONCE) })
    for (let from = 0; from < days.length; from += DAYS_AT_ONCE)
      await tell('POST', `/stations/${stationId}/days`, { days: days.slice(from, from + DAYS_AT_ONCE) })
    read.value = undefined
    return counted(days.length, 'day')
  }
  const drop = () => {
    read.value = undefined
  }
  return { read, problems, more, open, take, drop, unit, say }
}

/** A file of our own schema; anything else in braces is told. */
function documentOf(text: string): WeatherFile {
  const wrong = (message: string): WeatherFile => ({ days: [], problems: [{ line: 0, message }] })
  try {
    const read = v.safeParse(WeatherFileSchema, JSON.parse(text))
    if (read.success) return { days: read.output.days, problems: [] }
    const [issue] = read.issues
    return wrong(`${v.getDotPath(issue) ?? 'It'} ${issue.message}: it is no weather file of ours.`)
  } catch {
    return wrong('It is no JSON: take the file as it came.')
  }
}
