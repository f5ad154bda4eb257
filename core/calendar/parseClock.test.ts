import { expect, test } from 'vitest'
import { parseClock } from './parseClock'

test.each([
  ['14:30', '14:30'],
  ['9:05', '09:05'],
  ['14.30', '14:30'],
  ['14:30:59', '14:30'],
  ['2:30 pm', '14:30'],
  ['2 p.m.', '14:00'],
  ['12:15 am', '00:15'],
  ['12 pm', '12:00'],
  ['0:00', '00:00'],
])('%s is %s', (typed, time) => {
  expect(parseClock(typed)).toEqual({ ok: true, value: time })
})

test.each(['', '7', 'noon', '24:10', '10:75', '13 pm', '2:3', '10:30 xm'])('%s is refused', (typed) => {
  expect(parseClock(typed)).toMatchObject({ ok: false, error: expect.stringContaining('14:30') })
})
