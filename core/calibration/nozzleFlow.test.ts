import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { figure, readTable } from '../../test/support/readTable'
import { closedWorkingBook, openWorkingBook } from '../working/working'
import {
  carrierOf,
  checkNozzles,
  flowAtPressure,
  flowForCarrier,
  flowOfSolution,
  hundredTwentyEighthCourse,
  nozzleOverlap,
  pressureForFlow,
  speedForCarrier,
  sprayWidth,
  widthForCarrier,
} from './nozzleFlow'

test.each(readTable('boomFlow.csv', import.meta.url))('$name: $words', (row) => {
  const [flow, width, speed] = [figure(row, 'flow'), figure(row, 'width'), figure(row, 'speed')]
  expect(carrierOf({ flow, width, speed }, 'carrier', closedWorkingBook)).toBeCloseTo(
    figure(row, 'carrier'),
    14,
  )
})

test.each(readTable('pressureLaw.csv', import.meta.url))('$name: $words', (row) => {
  const flow = flowAtPressure(figure(row, 'flow'), figure(row, 'pressure'), figure(row, 'other'), {
    low: figure(row, 'low'),
    high: figure(row, 'high'),
  })
  if (row.result === '') expect(flow).toBeUndefined()
  else expect(flow).toBeCloseTo(figure(row, 'result'), 12)
})

test.each(readTable('nozzleCheck.csv', import.meta.url))('$name: $words', (row) => {
  const check = checkNozzles({
    flows: (row.flows ?? '').split(' ').map(Number),
    ...(row.rated && { rated: Number(row.rated) }),
  })
  expect(check?.clean.join(' ')).toBe(row.clean)
  expect(check?.replace).toBe(row.replace)
  expect(check?.mean).toBeCloseTo(figure(row, 'mean'), 12)
})

test('nothing flows, nothing is judged', () => {
  expect(checkNozzles({ flows: [] })).toBeUndefined()
  expect(checkNozzles({ flows: [0, 0] })).toBeUndefined()
})

test(
  'the check figures of the trade: 204.2 ft and 136.1 ft of course; spray width and overlap; working in ' +
    'the field’s units',
  () => {
    const inch = 0.0254
    expect(hundredTwentyEighthCourse(20 * inch) / 0.3048).toBeCloseTo(204.19, 2)
    expect(hundredTwentyEighthCourse(30 * inch) / 0.3048).toBeCloseTo(136.13, 2)
    // 110 degrees at 20 in: 2 x 20 x tan 55 = 57.1 in; nozzles 20 in apart overlap by 65 %.
    expect(sprayWidth(20 * inch, (110 * Math.PI) / 180) / inch).toBeCloseTo(57.13, 2)
    expect(nozzleOverlap(20 * inch, (110 * Math.PI) / 180, 20 * inch)).toBeCloseTo(0.65, 3)
    expect(flowOfSolution(1, 1.28)).toBeCloseTo(0.8839, 4)
    expect(pressureForFlow(1, 200_000, 2, { low: 100_000, high: 500_000 })).toEqual({
      pressure: 800_000,
      within: 'too-high',
    })
    const book = openWorkingBook()
    carrierOf({ flow: 1.6 / 60_000, width: 0.5, speed: 6.4 / 3.6 }, 'carrier', book)
    expect(book.pages()[0]?.lines.at(-1)).toMatch(/= 300 L\/ha$/)
  },
)

describe('properties', () => {
  const some = fc.double({ min: 0.1, max: 10, noNaN: true })
  test('twice the speed halves the rate; solving back returns the input', () => {
    fc.assert(
      fc.property(some, some, some, (flow, width, speed) => {
        const carrier = carrierOf({ flow, width, speed }, 'carrier', closedWorkingBook)
        expect(
          carrierOf({ flow, width, speed: 2 * speed }, 'carrier', closedWorkingBook) / carrier,
        ).toBeCloseTo(0.5, 12)
        expect(speedForCarrier(carrier, { flow, width })).toBeCloseTo(speed, 9)
        expect(flowForCarrier(carrier, { width, speed })).toBeCloseTo(flow, 9)
        expect(widthForCarrier(carrier, { flow, speed })).toBeCloseTo(width, 9)
      }),
    )
  })
  test('pressure asked for a flow gives that flow', () => {
    fc.assert(
      fc.property(
        some,
        fc.integer({ min: 100, max: 300 }),
        fc.double({ min: 0.8, max: 1.2, noNaN: true }),
        (flow, kPa, times) => {
          const range = { low: 1, high: 1e7 }
          const { pressure } = pressureForFlow(flow, kPa * 1000, flow * times, range)
          expect(flowAtPressure(flow, kPa * 1000, pressure, range)).toBeCloseTo(flow * times, 9)
        },
      ),
    )
  })
})
