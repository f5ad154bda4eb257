import { counted } from '#core/quantity/counting'
import { isClimateFile, readClimateFile, readElementRows } from '#core/weather/files/readClimateFile'
import { readWeatherRows } from '#core/weather/files/readWeatherRows'
import type { WeatherFile } from '#core/weather/files/weatherFile'

const LARGEST_BYTES = 5_000_000
/** What one request takes. */
const DAYS_AT_ONCE = 4000
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

  async function open(file: File) {
    read.value =
      file.size > LARGEST_BYTES
        ? { days: [], problems: [{ line: 0, message: 'The file is over 5 MB: take fewer years at once.' }] }
        : await fileOf(await file.text())
  }
  async function fileOf(text: string): Promise<WeatherFile> {
    if (isClimateFile(text)) return readClimateFile(text)
    const { default: Papa } = await import('papaparse')
    const { data } = Papa.parse<Record<string, string>>(text.trim(), { header: true, skipEmptyLines: true })
    return (
      readElementRows(data) ??
      readWeatherRows(data, {
        temperature: crew.temperatureUnit,
        rain: crew.temperatureUnit === '°C' ? 'mm' : 'in',
      })
    )
  }

  /** Sends the days. @returns how many, in words */
  async function take(stationId: string): Promise<string> {
    const days = read.value?.days ?? []
    for (let from = 0; from < days.length; from += DAYS_AT_ONCE)
      await $fetch<unknown>(crewUrl(`/stations/${stationId}/days`), {
        method: 'POST',
        body: { days: days.slice(from, from + DAYS_AT_ONCE) },
      })
    read.value = undefined
    return counted(days.length, 'day')
  }
  const drop = () => {
    read.value = undefined
  }
  return { read, problems, more, open, take, drop }
}
