import { depositProfile, effectiveSwath } from '../core/calibration/trayPattern'
import { settingCurve, settingFor, type SettingPoint } from '../core/calibration/settingCurve'
import { drawsFrom, normal } from '../core/quantity/draws'
import { closedWorkingBook } from '../core/working/working'
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
