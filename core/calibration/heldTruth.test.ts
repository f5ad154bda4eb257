import { expect, test } from 'vitest'
import {
  CALIBRATION_TRIALS,
  calibrationHeld,
  CURVE_CELLS,
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

test.each(CURVE_CELLS)(
  'the band of a curve holds today’s flow: $days days, $runs runs, days off by $daySd, runs by $runSd',
  (cell) => {
    const { held } = curveHeld(SEEDS, cell)
    // 500 trials are within 2.7 of a hundred where 90 are true.
    expect(held).toBeGreaterThan(0.9)
    // Not by width alone.
    if (cell.days === 4 && cell.daySd === 0.03) expect(held).toBeLessThanOrEqual(0.98)
  },
)
