import { expect, test } from 'vitest'
import { parseYearDay, yearDayText } from './yearDay'

test.each([
  ['1 Dec', '12-01'],
  ['March 15', '03-15'],
  ['29 feb', '02-29'],
  ['31 June', 'noSuchDay'],
  ['12-01', 'notADay'],
  ['12/01', 'notADay'],
  ['1 Dec 2026', 'notADay'],
])('%s every year is %s', (typed, expected) => {
  const day = parseYearDay(typed)
  expect(day.ok ? day.value : day.error.kind).toBe(expected)
  if (!day.ok) expect(day.error.message).not.toContain('2000')
})

test('what is shown is read back', () => {
  for (const day of ['01-01', '02-29', '12-31'])
    expect(parseYearDay(yearDayText(day))).toEqual({ ok: true, value: day })
  expect(yearDayText('')).toBe('')
})
