import { expect, test } from 'vitest'
import { truthHeld } from '../../test/support/practiceTruth'
import { rateOfFlows } from '../calibration/flowRate'
import { closedWorkingBook } from '../working/working'
import { PRACTICE_DEVICES, practiceReadings } from './practiceDevice'
import { practiceStand, practiceTruth } from './practiceMachine'

// It lies inside nearly always: the band is of today's flow, and the hidden machine has no days.
test('the hidden spreader is found out within the stated band', () => {
  expect(truthHeld(200)).toBeGreaterThanOrEqual(190)
})

test('what the hopper loses and the meter counts is what the hidden machines let through', () => {
  const truth = practiceTruth(3)
  const spread = practiceStand(3, [
    { act: 'charge', amount: 5 },
    { act: 'spread', setting: 12, length: 15, speed: 1.4 },
  ])
  expect((5 - spread.weight) / ((truth.gate(12) * 15) / 1.4)).toBeCloseTo(1, 1)
  const boom = practiceStand(3, [{ act: 'spray', length: 40, speed: 1.4, nozzles: 7, pressure: 2e5 }])
  const flow = Array.from({ length: 7 }, (_, i) => truth.nozzle(i + 1, 2e5)).reduce(
    (sum, one) => sum + one,
    0,
  )
  const rate = rateOfFlows(
    [{ flow: boom.volume / boom.elapsed, covered: 1, words: '' }],
    'L',
    '',
    closedWorkingBook,
  )
  expect(rate.mean / flow).toBeCloseTo(1, 1)
  expect(truth.nozzle(1, 4e5) / truth.nozzle(1, 1e5)).toBeCloseTo(2, 12)
  expect(
    practiceStand(3, [
      { act: 'charge', amount: 0.01 },
      { act: 'spread', setting: 15, length: 500, speed: 1 },
    ]).weight,
  ).toBe(0)
})

test('a scale swings, settles on the weight to its step, and says when it is too much', () => {
  const [kitchen, , meter, wheel] = PRACTICE_DEVICES
  const stand = { weight: 1.2344, volume: 0.0005, distance: 15, elapsed: 11.23 }
  const at = (device: typeof kitchen, ms: number) => (device ? practiceReadings(device, stand, ms, 9) : [])
  expect(at(kitchen, 50)[0]?.state).toBe('moving')
  expect(at(kitchen, 3000)).toEqual([{ clock: 3000, quantity: 'weight', value: 1234, state: 'steady' }])
  expect(kitchen && practiceReadings(kitchen, { ...stand, weight: 6 }, 3000, 9)[0]?.state).toBe('over')
  expect(at(meter, 800)[0]).toMatchObject({ value: 250, state: 'moving' })
  expect(at(meter, 5000)[0]).toMatchObject({ value: 500, state: 'steady' })
  expect(at(wheel, 5000).map(({ quantity, value }) => [quantity, value])).toEqual([
    ['distance', 15],
    ['elapsed', 11.2],
  ])
})
