import fc from 'fast-check'
import { expect, test } from 'vitest'
import { eventTime, inWrittenOrder, skewText } from './eventTime'

const HOUR = 3_600_000
const RECEIVED = Date.parse('2026-05-06T14:00:00Z')
const iso = (time: number) => new Date(time).toISOString()

test.each([
  ['a right clock, sent at once', 0, 0, 0],
  ['four hours without a network stay four hours', -4 * HOUR, 0, -4 * HOUR],
  ['an hour fast: taken off', HOUR, HOUR, 0],
  ['an hour fast, written down two hours before it was sent', -HOUR, HOUR, -2 * HOUR],
  ['an hour slow: added', -3 * HOUR, -HOUR, -2 * HOUR],
  ['years ahead without saying when it was sent: no later than the receipt', 40_000 * HOUR, undefined, 0],
])('%s', (_, at, sent, expected) => {
  const told = eventTime(
    iso(RECEIVED + at),
    sent === undefined ? undefined : iso(RECEIVED + sent),
    iso(RECEIVED),
  )
  expect(Date.parse(told) - RECEIVED).toBe(expected)
})

test('whatever a device says, nothing happens after it was heard of, and order on one device stays', () => {
  const offset = fc.integer({ min: -1e10, max: 1e10 })
  fc.assert(
    fc.property(offset, offset, offset, (first, second, sent) => {
      const [a, b] = [first, second].map((at) =>
        Date.parse(eventTime(iso(RECEIVED + at), iso(RECEIVED + sent), iso(RECEIVED))),
      )
      expect(a).toBeLessThanOrEqual(RECEIVED)
      if (first <= second) expect(a).toBeLessThanOrEqual(b ?? 0)
    }),
  )
})

test('a clock that was off is told, in the words of its size; one within two minutes is not', () => {
  const told = (ahead: number) => skewText([{ at: iso(RECEIVED), deviceAt: iso(RECEIVED + ahead) }])
  expect(told(5 * 60_000)).toContain('5 minutes ahead')
  expect(told(-3 * HOUR)).toContain('3 hours behind')
  expect(told(24 * 365 * HOUR)).toContain('365 days ahead')
  expect(told(60_000)).toBeUndefined()
  expect(skewText([{ at: iso(RECEIVED) }])).toBeUndefined()
})

test('a clock set back on the way turns nothing round', () => {
  const day = (n: number) => `2026-05-0${n}T12:00:00.000Z`
  expect(inWrittenOrder([day(3), day(5), day(4), day(6)])).toEqual([day(3), day(4), day(4), day(6)])
  expect(inWrittenOrder([])).toEqual([])
})
