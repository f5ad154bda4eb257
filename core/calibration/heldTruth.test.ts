import { expect, test } from 'vitest'
import {
  CALIBRATION_TRIALS,
  calibrationHeld,
  curveHeld,
  GROUND_TRIALS,
  groundHeld,
} from '../../test/support/heldTruth'

/** Fewer truths than npm run bench tries, so the bounds are a little wider than 90 to 99 of a hundred. */
const SEEDS = 500
const isHonest = (share: number) => share > 0.88 && share < 0.995

test.each(Object.entries(GROUND_TRIALS))(
  '%s: give or take holds the truth as often as it says',
  (_, trial) => {
    expect(groundHeld(trial, SEEDS).held).toSatisfy(isHonest)
  },
)

test.each(Object.entries(CALIBRATION_TRIALS))('calibrated by %s: the band holds the truth', (_, trial) => {
  expect(calibrationHeld(trial, SEEDS).held).toSatisfy(isHonest)
})

test('a flow read off the curve lies within its doubt', () => {
  expect(curveHeld(SEEDS).held).toSatisfy(isHonest)
})
