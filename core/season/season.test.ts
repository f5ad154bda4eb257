import { NUTRIENT_UNIT } from '../quantity/nutrientText'
import { expect, test } from 'vitest'
import fc from 'fast-check'
import { figure, readTable } from '../../test/support/readTable'
import { openWorkingBook } from '../working/working'
import { daysAfter, daysBetween } from '../calendar/daysBetween'
import { groundRate } from './groundRate'
import { nitrogenLaid, overWanted } from './nitrogenLaid'
import { coveredTo, repeatDue } from './repeatDue'

test.each(readTable('repeatDue.csv', import.meta.url))('$name: $words', (row) => {
  const due = repeatDue(row.on ?? '', figure(row, 'interval'), figure(row, 'margin'), row.today ?? '')
  expect(due).toEqual({ due: row.due, lastDay: row.lastDay, state: row.state, inDays: figure(row, 'inDays') })
})

test.each(readTable('nitrogenLaid.csv', import.meta.url))('$name: $words', (row) => {
  const rows = (row.rows ?? '')
    .split(' ')
    .filter(Boolean)
    .map((one) => {
      const [on = '', n = ''] = one.split(':')
      return { on, n: n === '?' ? null : Number(n) }
    })
  const book = openWorkingBook()
  const laid = nitrogenLaid(rows, figure(row, 'sizeM2'), row.year ?? '', 'nitrogen.a', book)
  expect(book.pages()[0]?.lines.at(-1)).toMatch(/^nitrogen in 2026 = [\d.]+ lb\/1000 ft2$/)
  expect(laid.perArea / NUTRIENT_UNIT).toBeCloseTo(figure(row, 'units'), 9)
  expect(laid.unknown).toBe(figure(row, 'unknown'))
})

test('covered to the end of what the label says it lasts; nothing where it says nothing', () => {
  // April has 30 days and May and June 61 together: 10 April and 90 days is 9 July.
  expect(coveredTo('2026-04-10', 90)).toBe('2026-07-09')
  expect(coveredTo('2026-04-10', null)).toBeNull()
})

test('days after and between are each other’s way back, and a margin never makes a repeat later', () => {
  const day = fc.integer({ min: 0, max: 20_000 }).map((days) => daysAfter('1990-01-01', days))
  fc.assert(
    fc.property(
      day,
      fc.integer({ min: -4000, max: 4000 }),
      (from, days) => daysBetween(from, daysAfter(from, days)) === days,
    ),
  )
  fc.assert(
    fc.property(
      day,
      fc.integer({ min: 1, max: 400 }),
      fc.double({ min: 0, max: 0.9, noNaN: true }),
      (on, interval, margin) => {
        const { due, lastDay } = repeatDue(on, interval, margin, on)
        return due <= lastDay && due >= on && lastDay === daysAfter(on, interval)
      },
    ),
  )
})

test('a rate over several pieces weighs them by size; at the grass’s most it is not over', () => {
  // 3 kg on 100 m2 and 1 kg on 300 m2: 4 / 400.
  expect(
    groundRate([
      { amount: 3, sizeM2: 100 },
      { amount: 1, sizeM2: 300 },
    ]),
  ).toBeCloseTo(0.01, 12)
  expect([overWanted(4, [2, 4]), overWanted(4.01, [2, 4])]).toEqual([false, true])
})
