import { expect, test } from 'vitest'
import { dayText } from './dayText'
import { parseDay } from './parseDay'

test.each([
  ['6 May 2026', '2026-05-06'],
  ['6 may', '2026-05-06'],
  ['May 6, 2026', '2026-05-06'],
  ['2026-05-06', '2026-05-06'],
  ['29 Feb 2024', '2024-02-29'],
  ['31 June', 'noSuchDay'],
  ['29 Feb 2026', 'noSuchDay'],
  ['5/6/2026', 'ambiguous'],
  ['soon', 'notADay'],
])('%s is the day %s', (typed, expected) => {
  const day = parseDay(typed, 2026)
  expect(day.ok ? day.value : day.error.kind).toBe(expected)
})

test('what is shown is read back, every day of two years', () => {
  for (let day = 0; day < 731; day++) {
    const iso = new Date(Date.UTC(2026, 0, 1 + day)).toISOString().slice(0, 10)
    expect(parseDay(dayText(iso), 1999)).toEqual({ ok: true, value: iso })
  }
})
