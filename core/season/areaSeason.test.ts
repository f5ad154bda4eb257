import { expect, test } from 'vitest'
import { dayNumber } from '../calendar/dayNumber'
import type { Climate } from '../simulated/simulatedClimate'
import { simulatedClimate, usualMean } from '../simulated/simulatedClimate'
import { usualOn, usualYear } from '../weather/usualYear'
import { areaSeason, type AreaSeason } from './areaSeason'
import type { LaidOnArea } from './laidOnArea'
import { nextOnLawn } from './nextOnLawn'
import { suppression } from './suppression'
import { shareOfYear, yearRows } from './yearRows'

const CLIMATE: Climate = {
  mean: 12,
  swing: 11,
  coldest: 25,
  dayRange: 10,
  wetDays: 0.3,
  rainDepth: 0.008,
  humidity: 70,
}
const TODAY = '2026-05-06'
const days = simulatedClimate(CLIMATE, '2024-01-01', 866, 5).map((day) => ({
  ...day,
  forecast: day.on > TODAY,
}))
const ground = {
  grasses: ['creeping bentgrass' as const],
  latitude: 41,
  overseeding: undefined,
  rootDisease: false,
  diseases: [],
}
const laid = (fields: Partial<LaidOnArea>): LaidOnArea => ({
  on: '2026-04-10',
  product: 'Regulator',
  active: 'trinexapac-ethyl',
  kind: 'growth regulator',
  lastsDays: 28,
  ...fields,
})
function seasonOf(list: readonly LaidOnArea[], weather = days): AreaSeason {
  const season = areaSeason(weather, [], ground, list, TODAY, '°F')
  if (!season.ok) throw new Error(season.error.message)
  return season.value
}

test('the year goes on as usual after the forecast, ever less sure, and every day is there', () => {
  const { soil } = seasonOf([])
  expect(soil.map(({ on }) => on).filter((_, i, all) => i === 0 || i === all.length - 1)).toEqual([
    '2026-01-01',
    '2026-12-31',
  ])
  expect(soil).toHaveLength(365)
  expect(soil.map(({ from }) => from).filter((one, i, all) => one !== all[i - 1])).toEqual([
    'weather',
    'forecast',
    'usual',
  ])
  const usual = soil.filter(({ from }) => from === 'usual')
  for (const [i, { give }] of usual.entries())
    expect(give).toBeGreaterThanOrEqual(usual[Math.max(0, i - 1)]!.give! - 1e-9)
  const [october] = usual.filter(({ on }) => on === '2026-10-15')
  // Soil lags: it is warmer in autumn than the air usually is.
  expect(october!.soil!).toBeGreaterThan(usualMean(CLIMATE, dayNumber('2026-10-15')))
})

test('a hole in the weather leaves its days without a figure, and is told', () => {
  const season = seasonOf(
    [],
    days.filter(({ on }) => on < '2026-03-01' || on > '2026-03-10'),
  )
  expect(season.holes).toEqual([{ from: '2026-03-01', to: '2026-03-10' }])
  expect(season.soil.filter(({ soil }) => soil === undefined).map(({ on }) => on.slice(5))).toEqual(
    Array.from({ length: 10 }, (_, i) => `03-${String(i + 1).padStart(2, '0')}`),
  )
})

test('what is usual is found from the days themselves; less than a year has nothing usual', () => {
  const middle = Float64Array.from(days, ({ least, most }) => (least + most) / 2)
  const usual = usualYear(dayNumber('2024-01-01'), middle)
  for (const on of ['2026-01-25', '2026-04-25', '2026-07-25'])
    expect(Math.abs(usualOn(usual!, dayNumber(on)) - usualMean(CLIMATE, dayNumber(on)))).toBeLessThan(1.2)
  expect(usualYear(dayNumber('2024-01-01'), middle.slice(0, 300))).toBeUndefined()
  expect(seasonOf([], days.slice(600)).soil.every(({ from }) => from !== 'usual')).toBe(true)
})

test('a regulator is counted from its newest application; its line ends at heat units or label days', () => {
  const { regulators, lines } = seasonOf([laid({ on: '2026-03-01' }), laid({})])
  expect(regulators).toHaveLength(1)
  const [count] = regulators
  expect(count).toMatchObject({ since: '2026-04-10', base: 0, threshold: 200 })
  const bySum = days
    .filter(({ on }) => on > '2026-04-10' && on <= TODAY)
    .reduce((sum, { least, most }) => sum + Math.max(0, (least + most) / 2), 0)
  expect(count?.sum).toBeCloseTo(bySum, 9)
  expect(lines.map(({ from, to }) => [from, to])).toEqual([
    ['2026-03-01', '2026-03-29'],
    ['2026-04-10', count!.due! < '2026-05-08' ? count!.due : '2026-05-08'],
  ])
  expect(seasonOf([laid({ active: 'something else' })]).regulators).toEqual([])
})

test('bars of the year: laid, the gap behind it, windows still to come, the day of seed', () => {
  const season = seasonOf([
    laid({ on: '2026-03-20', kind: 'fungicide', product: 'Guard', lastsDays: 14 }),
    laid({ on: '2026-04-20', kind: 'fungicide', product: 'Guard', lastsDays: null }),
  ])
  const rows = yearRows(season, TODAY, '2026-09-12')
  const fungicide = rows.find(({ name }) => name === 'Fungicide')
  // 20 March is 78 days after New Year, 3 April 92, 20 April 109.
  expect(fungicide?.bars.slice(0, 2)).toMatchObject([
    { kind: 'laid', from: 78 / 365, to: 92 / 365, words: 'Guard' },
    { kind: 'gap', from: 92 / 365, to: 109 / 365 },
  ])
  expect(rows.map(({ name }) => name)).toEqual(['Barrier', 'Fungicide', 'Feed', 'Potassium', 'Overseeding'])
  expect(rows.at(-1)?.bars).toMatchObject([{ kind: 'mark', from: 254 / 365 }])
  expect([shareOfYear('2025-12-01', '2026'), shareOfYear('2027-01-05', '2026')]).toEqual([0, 1])
})

test('next on a lawn: what presses first; what is done or covered is not asked for', () => {
  const milder = days.map((day) => ({ ...day, least: day.least + 3, most: day.most + 3 }))
  const next = (list: readonly LaidOnArea[], rootDisease = false, weather = days) =>
    nextOnLawn(seasonOf(list, weather), { ...ground, rootDisease }, TODAY).map(({ what }) => what)
  const barrier = laid({ on: '2026-03-24', kind: 'pre-emergent herbicide', product: 'Barrier' })
  expect(next([])).toContain('First half of the barrier')
  expect(next([barrier])).not.toContain('First half of the barrier')
  expect(next([barrier])[0]).toBe('Second half of the barrier')
  expect(next([])).toContain('Feed')
  expect(next([laid({ kind: 'fertilizer', product: 'Slow', lastsDays: 60 })])).not.toContain('Feed')
  expect(next([], true, milder)).toContain('Root disease, preventive')
  expect(next([], false, milder)).toContain('Root disease: scout for it')
})

test('what is covered presses for nothing; what is missed presses no more and says so', () => {
  const milder = days.map((day) => ({ ...day, least: day.least + 3, most: day.most + 3 }))
  const guard = laid({ on: '2026-04-16', kind: 'fungicide', lastsDays: null, repeatTo: 21 })
  const feed = laid({ on: '2026-04-21', kind: 'fertilizer', lastsDays: null, n: 0.0037 })
  const told = (list: readonly LaidOnArea[]) =>
    nextOnLawn(seasonOf(list, milder), { ...ground, rootDisease: true }, TODAY).map(({ what }) => what)
  expect(told([])).toEqual(expect.arrayContaining(['Feed', 'Root disease, preventive']))
  // To 7 May by its interval, and to 19 May as quick nitrogen.
  expect(told([guard, feed])).not.toEqual(expect.arrayContaining(['Root disease, preventive']))
  expect(told([guard, feed])).not.toContain('Feed')
  const season = seasonOf([])
  const windows = season.windows.map((window) =>
    window.name === 'spring pre-emergent'
      ? { ...window, state: 'late' as const, closes: '2026-04-20' }
      : window,
  )
  const late = nextOnLawn({ ...season, windows }, ground, TODAY).find(({ what }) => what.startsWith('First'))
  expect(late).toMatchObject({ presses: false, reason: expect.stringMatching(/^Missed since .* 2026\. /) })
})
test('a disease is prevented where it was seen before; elsewhere its weather is a reason to look', () => {
  const season = {
    ...seasonOf([]),
    indices: [{ name: 'dollar spot' as const, on: TODAY, value: 0.3, act: true }],
  }
  const told = (diseases: readonly string[]) =>
    nextOnLawn(season, { ...ground, diseases }, TODAY)
      .filter(({ by }) => by === 'index')
      .map(({ what, presses }) => [what, presses])
  expect(told([])).toEqual([['Dollar spot: look for it', false]])
  expect(told(['brown patch'])).toEqual([['Dollar spot: look for it', false]])
  expect(told(['Dollar spot, south ditch'])).toEqual([['Dollar spot, preventive', true]])
})

test('growth is lowest half way, back at the threshold, above it after, then over', () => {
  const at = (units: number) => suppression(units, 200)
  expect(at(0)).toEqual({ shape: -0, phase: 'falls' })
  expect(at(100).shape).toBe(-1)
  expect(at(150)).toMatchObject({ phase: 'comes back' })
  expect(at(200).shape).toBeCloseTo(0, 12)
  expect(at(300)).toEqual({ shape: 0.5, phase: 'overshoots' })
  expect(at(400)).toEqual({ shape: 0, phase: 'over' })
})
