import { beforeEach, expect, test } from 'vitest'
import { withVue } from '../../../test/support/vueGlobals'
import { useWeatherFile } from './useWeatherFile'

let sent: { url: string; days: number }[] = []

beforeEach(() => {
  sent = []
  withVue({
    useCrewStore: () => ({ temperatureUnit: '°F' }),
    crewUrl: (path: string) => path,
    $fetch: async (url: string, { body }: { body: { days?: unknown[]; hours?: unknown[] } }) => {
      sent.push({ url, days: (body.days ?? body.hours ?? []).length })
    },
  })
})
const file = (text: string) => new File([text], 'weather.csv')
const dayOf = (i: number) => new Date(Date.UTC(2000, 0, 1 + i)).toISOString().slice(0, 10)

test('days are shown before they are taken, and taken in parts a request can hold', async () => {
  const weather = useWeatherFile()
  const rows = Array.from({ length: 4500 }, (_, i) => `${dayOf(i)},50,70,0.1`)
  await weather.open(file(['date,low,high,rain', ...rows].join('\n')))
  expect(weather.read.value?.problems).toEqual([])
  expect(weather.read.value?.days).toHaveLength(4500)
  expect(sent).toEqual([])
  expect(await weather.take('roof')).toBe('4500 days')
  expect(sent).toEqual([
    { url: '/stations/roof/days', days: 4000 },
    { url: '/stations/roof/days', days: 500 },
  ])
  expect(weather.read.value).toBeUndefined()
})

test('temperatures without a unit are what somebody says they are', async () => {
  const weather = useWeatherFile()
  await weather.open(file('date,low,high\n2026-05-06,14,23'))
  // 23 °F are 5 degrees below freezing.
  expect(weather.read.value?.days[0]?.most).toBeCloseTo(-5, 6)
  await weather.say('°C')
  expect(weather.read.value?.days[0]?.most).toBeCloseTo(23, 6)
})

test('lines that can’t be read are told, a few of them and how many more', async () => {
  const weather = useWeatherFile()
  const wrong = Array.from({ length: 9 }, (_, i) => `2026-05-${10 + i},warm,70`)
  await weather.open(file(['date,low,high', ...wrong].join('\n')))
  expect(weather.problems.value).toHaveLength(6)
  expect(weather.problems.value[0]).toMatch(/^Line 2 /)
  expect(weather.more.value).toBe(3)
})

test('what is no weather is told for what it is', async () => {
  const weather = useWeatherFile()
  await weather.open(file('{"days": ['))
  expect(weather.problems.value).toEqual(['It is no JSON: take the file as it came.'])
  await weather.open(file('{"format":"other"}'))
  expect(weather.problems.value[0]).toMatch(/no weather file of ours/)
  await weather.open(new File(['x'.repeat(5_000_001)], 'large.csv'))
  expect(weather.problems.value[0]).toMatch(/over 5 MB/)
  weather.drop()
  expect(weather.problems.value).toEqual([])
})
