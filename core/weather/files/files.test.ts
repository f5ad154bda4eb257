import { expect, test } from 'vitest'
import { isClimateFile, readClimateFile, readElementRows } from './readClimateFile'
import { readHourRows } from './readHourRows'
import { readWeatherRows } from './readWeatherRows'

/** A line of the fixed format: values of the first days, the others missing. */
const line = (month: string, element: string, values: readonly number[], station = 'XX000000001') =>
  `${station}${month}${element}` +
  Array.from({ length: 31 }, (_, i) => `${String(values[i] ?? -9999).padStart(5)}   `).join('')

test('fixed columns: tenths of °C and of mm; what is missing is no day', () => {
  const text = [
    line('202605', 'TMAX', [156, 201, -9999]),
    line('202605', 'TMIN', [-12, 98, 50]),
    line('202605', 'PRCP', [0, 254]),
    line('202605', 'SNOW', [3]),
  ].join('\r\n')
  expect(isClimateFile(text)).toBe(true)
  expect(readClimateFile(text)).toEqual({
    days: [
      { on: '2026-05-01', least: -1.2, most: 15.6, rain: 0, forecast: false },
      { on: '2026-05-02', least: 9.8, most: 20.1, rain: 0.0254, forecast: false },
    ],
    problems: [],
  })
})

test('fixed columns: a day that is none, a broken line and two stations are told', () => {
  const february = line(
    '202602',
    'TMAX',
    Array.from({ length: 29 }, () => 10),
  )
  expect(readClimateFile(`${february}\nrubbish`).problems).toEqual([
    { line: 1, message: 'day 29 is no figure of a day: 10' },
    { line: 2, message: 'is not in the format of the lines before it' },
  ])
  const two = readClimateFile(`${february}\n${line('202602', 'TMIN', [1], 'XX000000002')}`)
  expect(two.days).toEqual([])
  expect(two.problems.at(-1)?.message).toMatch(/holds 2 stations/)
})

test('the same as a table of elements', () => {
  const row = (date: string, element: string, value: string) => ({ station: 'X', date, element, value })
  const read = readElementRows([
    row('20260501', 'TMAX', '156'),
    row('20260501', 'TMIN', '-12'),
    row('20260502', 'TMAX', '-9999'),
    row('20260231', 'TMAX', '10'),
  ])
  expect(read?.days).toEqual([{ on: '2026-05-01', least: -1.2, most: 15.6, forecast: false }])
  expect(read?.problems).toHaveLength(1)
  expect(readElementRows([{ date: '20260501', min: '1', max: '2' }])).toBeUndefined()
})

const usual = { temperature: '°F', rain: 'in', wind: 'mph' } as const
test.each<[string, Record<string, string>, object]>([
  [
    'units in brackets',
    { Date: '2026-05-01', 'Min (C)': '5', 'Max (C)': '15', 'Rain (mm)': '2' },
    { rain: 0.002 },
  ],
  ['none told: the crew’s', { day: '20260501', low: '41', high: '59', rain: '1' }, { rain: 0.0254 }],
  [
    'decimal comma, names with a line',
    { date: '1 May 2026', tmin_c: '5,0', tmax_c: '15,0', rh: '80' },
    { humidity: 80 },
  ],
  [
    'soil and mean',
    { date: '2026-05-01', min: '41', max: '59', mean: '50', 'soil °C': '9' },
    { mean: 10, soil: 9 },
  ],
])('a table, %s', (_, row, more) => {
  const { days, problems } = readWeatherRows([row], usual)
  expect(problems).toEqual([])
  expect(days).toHaveLength(1)
  const [day] = days
  expect(day?.on).toBe('2026-05-01')
  expect(day?.least).toBeCloseTo(5, 9)
  expect(day?.most).toBeCloseTo(15, 9)
  for (const [name, value] of Object.entries(more))
    expect(day?.[name as 'rain']).toBeCloseTo(value as number, 9)
})

test('a table: what can’t be read is told with its line, the rest is taken', () => {
  const rows = [
    { date: '2026-05-01', min: '41', max: '59' },
    { date: '5/6', min: '41', max: '59' },
    { date: '2026-05-03', min: 'x', max: '59' },
  ]
  const { days, problems } = readWeatherRows(rows, usual)
  expect(days.map(({ on }) => on)).toEqual(['2026-05-01'])
  expect(problems).toEqual([
    { line: 3, message: 'has no day that can be read: 5/6' },
    { line: 4, message: 'min is no figure: x' },
  ])
  expect(readWeatherRows([{ date: '2026-05-01', min: '4' }], usual).problems[0]?.message).toBe(
    'must name a column for max',
  )
})

test('a table whose temperatures name no unit says that somebody has to', () => {
  expect(readWeatherRows([{ date: '2026-05-01', min: '4', max: '9' }], usual).unitsUntold).toBe(true)
  const told = readWeatherRows([{ date: '2026-05-01', 'min (C)': '4', 'max (C)': '9' }], usual)
  expect(told.unitsUntold).toBeUndefined()
})

const HOURS = Array.from({ length: 24 }, (_, hour) => ({
  time: `2026-05-01T${String(hour).padStart(2, '0')}:00`,
  'temp (C)': String(hour),
  'wind (km/h)': '36',
  'rain (mm)': hour === 3 ? '2' : '0',
  rh: '80',
}))
test.each([
  ['one column of day and hour', HOURS],
  [
    'two columns',
    HOURS.map(({ time, ...row }) => ({ date: time.slice(0, 10), hour: time.slice(11, 13), ...row })),
  ],
])('a table of hours, %s: the day follows from them', (_, rows) => {
  const read = readHourRows(rows, usual)
  expect(read?.problems).toEqual([])
  // 36 km/h is 10 m/s; the mean of 0 to 23 is 11.5.
  expect(read?.hours?.[3]).toMatchObject({ hour: 3, air: 3, wind: 10, rain: 0.002, humidity: 80 })
  expect(read?.days).toEqual([
    expect.objectContaining({ on: '2026-05-01', least: 0, most: 23, mean: 11.5, humidity: 80 }),
  ])
})
test('a table of hours: what can’t be read is told with its line; days alone are none', () => {
  const [first] = HOURS
  const read = readHourRows(
    [first!, { ...first!, time: '2026-05-01T25:00' }, { ...first!, 'temp (C)': 'x' }],
    usual,
  )
  expect(read?.problems.map(({ line }) => line)).toEqual([3, 4])
  expect(readHourRows([{ date: '2026-05-01', min: '4', max: '9' }], usual)).toBeUndefined()
})
