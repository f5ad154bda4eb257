import { expect, test } from 'vitest'
import { daylight } from './daylight'

const minutes = (a: Date | undefined, b: string) =>
  Math.abs((a?.getTime() ?? Number.NaN) - Date.parse(b)) / 60_000

// Almanac figures for a horizon without hills, to the minute.
test.each([
  ['equinox on the equator', '2026-03-20', 0, 0, '2026-03-20T06:04:00Z', '2026-03-20T18:11:00Z'],
  ['Greenwich, midsummer', '2026-06-21', 51.48, 0, '2026-06-21T03:43:00Z', '2026-06-21T20:21:00Z'],
  ['Sydney, its midsummer', '2026-12-21', -33.87, 151.21, '2026-12-20T18:41:00Z', '2026-12-21T09:05:00Z'],
])('sun at %s', (_, on, latitude, longitude, rises, sets) => {
  const sun = daylight(on, latitude, longitude)
  expect(minutes(sun.rises, rises)).toBeLessThan(3)
  expect(minutes(sun.sets, sets)).toBeLessThan(3)
})
test('where the sun does not set it is not said to', () => {
  expect(daylight('2026-06-21', 78, 15)).toEqual({ rises: undefined, sets: undefined })
})
