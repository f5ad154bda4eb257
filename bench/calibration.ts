import { depositProfile, effectiveSwath } from '../core/calibration/trayPattern'
import { settingCurve, settingFor } from '../core/calibration/settingCurve'
import type { SettingPoint } from '../core/calibration/settingPoint'
import { drawsFrom, normal } from '../core/quantity/draws'
import { closedWorkingBook } from '../core/working/working'
import {
  CALIBRATION_TRIALS,
  calibrationHeld,
  CURVE_CELLS,
  curveHeld,
  GROUND_TRIALS,
  groundHeld,
} from '../test/support/heldTruth'
import { truthHeld } from '../test/support/practiceTruth'
import { percentile, round } from './statistics'

const RUNS = 300

function timed(work: () => unknown) {
  const times: number[] = []
  for (let i = 0; i < RUNS + 30; i++) {
    const begun = performance.now()
    work()
    if (i >= 30) times.push(performance.now() - begun)
  }
  return { p50: round(percentile(times, 0.5)), p99: round(percentile(times, 0.99)) }
}

/**
 * What the bench asks at every key: a curve through a thousand calibrations, a swath from forty-one trays.
 */
export function calibrationBench() {
  const draw = drawsFrom(5)
  const points = Array.from({ length: 1000 }, (_, i): SettingPoint => ({
    setting: 2 + (i % 40) / 2,
    flow: 0.004 * (2 + (i % 40) / 2) * (1 + normal(draw, 0.03)),
    age: i % 90,
  }))
  const trays = depositProfile({
    catches: Array.from({ length: 41 }, (_, i) => Math.max(0, 10 - Math.abs(i - 20) / 2 + draw())),
    spacing: 0.3,
  })
  return {
    curveOf1000PointsMs: timed(() => settingFor(settingCurve(points), 0.03, '', closedWorkingBook)),
    swathOf41TraysAt400SpacingsMs: trays.ok
      ? timed(() => effectiveSwath(trays.value, 'back-and-forth', 0.2, '', closedWorkingBook))
      : null,
    // How often two standard deviations hold the truth of the practice spreader, of a thousand seeded ones.
    hiddenSpreaderFoundOut: { of: 1000, held: truthHeld(1000) },
  }
}

const TRUTHS = 2000

/** How often what is stated as give or take holds the truth, of so many seeded ones by each method. */
export function doubtBench() {
  const each = (trials: Readonly<Record<string, number>>) =>
    Object.fromEntries(Object.entries(trials).map(([name, held]) => [name, round(held)]))
  return {
    of: TRUTHS,
    measured: each(
      Object.fromEntries(
        Object.entries(GROUND_TRIALS).map(([name, trial]) => [name, groundHeld(trial, TRUTHS).held]),
      ),
    ),
    calibrated: each(
      Object.fromEntries(
        Object.entries(CALIBRATION_TRIALS).map(([name, trial]) => [
          name,
          calibrationHeld(trial, TRUTHS).held,
        ]),
      ),
    ),
    curve: Object.fromEntries(
      CURVE_CELLS.map((cell) => {
        const { held, median } = curveHeld(TRUTHS, cell)
        const name = `${cell.days} days of ${cell.runs}, days ${cell.daySd}, runs ${cell.runSd}`
        return [name, { held: round(held), medianBand: round(median) }]
      }),
    ),
  }
}
