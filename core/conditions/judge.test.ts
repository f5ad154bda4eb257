import { expect, test } from 'vitest'
import { readTable } from '../../test/support/readTable'
import { fromMph } from '../quantity/speed'
import { fromFahrenheit } from '../quantity/temperature'
import { METRES_PER } from '../quantity/units'
import type { WeatherHour } from '../weather/hours/weatherHour'
import { limitsWithoutLabels, type ConditionLimits } from './conditionLimits'
import { hourReading } from './hourReading'
import { judgeConditions, type ConditionReading } from './judge'
import { whichDay } from './whichDay'

const UNITS: Readonly<Record<string, (figure: number) => number>> = {
  '°F': fromFahrenheit,
  mph: fromMph,
  in: (inches) => inches * METRES_PER.in,
}
/** `wind=12 mph turf=heat-stressed` as fields, figures in SI. */
const fieldsOf = (text: string): Record<string, unknown> =>
  Object.fromEntries(
    [...text.matchAll(/(\w+)=([^=]+?)(?= \w+=|$)/g)].map(([, name = '', value = '']) => {
      const [figure = '', unit = ''] = value.split(' ')
      return [name, UNITS[unit]?.(Number(figure)) ?? value]
    }),
  )
const limitsOf = (text: string): ConditionLimits => {
  const { kind, airMost, ...fields } = fieldsOf(text)
  const blank = limitsWithoutLabels({ method: 'spray', fate: undefined }, 'us-1000')
  return {
    ...blank,
    ...fields,
    ...(kind !== undefined && { kinds: [kind] }),
    ...(airMost !== undefined && { airMost: fromFahrenheit(Number(airMost)) }),
  } as ConditionLimits
}

test.each(readTable('judge.csv', import.meta.url))('$name: $words', (row) => {
  const found = judgeConditions(fieldsOf(row.reading ?? '') as ConditionReading, limitsOf(row.limits ?? ''))
  expect(found.map(({ level, subject, source }) => `${level} ${subject} ${source}`).join(';')).toBe(row.finds)
})

const SPRAY = limitsWithoutLabels({ method: 'spray', fate: undefined }, 'us-1000')
const hourOf = (hour: number, of: Partial<WeatherHour> = {}): WeatherHour => ({
  on: '2026-05-07',
  hour,
  air: 20,
  wind: fromMph(5),
  rain: 0,
  forecast: true,
  ...of,
})

test('an hour is read with the rain that is told for it, by chance where one is told', () => {
  const hours = [hourOf(8), hourOf(9, { rain: 0.001, chance: 0.3 }), hourOf(12, { rain: 0.02, chance: 0.9 })]
  expect(hourReading(hours[0]!, hours, undefined)).toMatchObject({ rainInHours: 4, rainAhead: 0.02 })
  expect(hourReading(hours[2]!, hours, { rises: 6, sets: 20 })).toMatchObject({
    raining: 'yes',
    rainInHours: 0,
    light: { now: 12, rises: 6, sets: 20 },
  })
})

test('gate and Which day agree: at 15 mph, a label silent on wind, nothing is sprayed all day', () => {
  const windy = Array.from({ length: 24 }, (_, hour) => hourOf(hour, { wind: fromMph(15) }))
  const [day] = whichDay(windy, [SPRAY], { opens: undefined, closes: undefined }, '2026-05-07', () => ({
    from: 6,
    to: 20,
  }))
  expect(day).toMatchObject({ score: 0, hours: undefined })
  expect(day?.factors.find(({ name }) => name === 'hours')?.reason).toBe(
    'all day: Wind 15 mph: spraying stops above 10 mph.',
  )
})

test('hours that want care count for half, and come after those that want none', () => {
  // Wet leaf until 10:00; spray for the leaf wants it dry.
  const dewy = Array.from({ length: 24 }, (_, hour) => hourOf(hour, { humidity: hour < 10 ? 95 : 50 }))
  const leaf = { ...SPRAY, forLeaf: 'yes' as const, dryLeaf: 'asked' as const }
  const light = (to: number) => () => ({ from: 6, to })
  const window = { opens: undefined, closes: undefined }
  const [day] = whichDay(dewy, [leaf], window, '2026-05-07', light(20))
  expect(day).toMatchObject({ score: 1, hours: { from: 10, to: 20 } })
  const [early] = whichDay(dewy, [leaf], window, '2026-05-07', light(9))
  expect(early?.score).toBe(0.5)
  expect(early?.factors[1]?.reason).toContain('with care: The leaf is wet')
})

test.each([
  ['wind=2 mph', 'method=spray', 'Wind 2 mph is still air: fine spray hangs in it from before sunset'],
  ['wind=8 mph', 'method=spray', 'Wind 8 mph: boom low, coarse drops'],
  ['gust=16 mph', 'method=spray', 'Gusts of 16 mph: the house stops at 15 mph.'],
  ['raining=yes', 'method=spray', 'It rains: nothing goes out in rain.'],
  ['rainInHours=2', 'method=spray rainfastHours=4', 'Rain in 2 h: it has to stay dry for 4 h.'],
  ['mownHours=6', 'method=spray mowBeforeHours=24', 'Mown 6 h ago: the label asks for 24 h between mowing'],
  [
    'soil=44 °F',
    'nitrogen=quick turf=dormant',
    'Soil 44 °F under dormant turf: quick nitrogen is lost under 45 °F',
  ],
  ['soil=44 °F', 'nitrogen=slow', 'Soil 44 °F: under 45 °F grass takes up no nitrogen.'],
  ['air=91 °F', 'method=spray kind=iron', 'Air 91 °F: work on the leaf may burn over 90 °F.'],
])('%s, %s is said as it is meant', (reading, limits, words) => {
  const read = Object.fromEntries(
    Object.entries(fieldsOf(reading)).map(([name, value]) => [
      name,
      /Hours$/.test(name) ? Number(value) : value,
    ]),
  )
  const asked = limitsOf(limits)
  const numbers = Object.fromEntries(
    Object.entries(asked).map(([name, value]) => [
      name,
      /Hours$/.test(name) && value ? Number(value) : value,
    ]),
  ) as unknown as ConditionLimits
  const [found] = judgeConditions(read as ConditionReading, numbers)
  expect(found?.message.slice(0, words.length)).toBe(words)
})
