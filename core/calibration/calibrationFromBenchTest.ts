import type { CalibrationDocument } from './calibrationShape'
import type { NozzleBenchTest } from './benchTestShape'

/**
 * A nozzle check with a timed course is a calibration by nozzle catch; it takes over what was caught and
 * timed.
 * @param nozzles the set that is on
 */
export function calibrationFromBenchTest(
  trial: NozzleBenchTest,
  nozzles: string,
  runId: string,
): CalibrationDocument {
  const { on, by, heldBy, spacing, course, time, catches, pressure } = trial
  return {
    schema: 1,
    kind: 'spray',
    by,
    heldBy,
    notes: '',
    course: {
      by: 'nozzle catch',
      on,
      length: { text: '', unit: course.length.unit },
      width: spacing,
      speed: { text: '', unit: course.length.unit === 'm' ? 'km/h' : 'mph' },
      timed: course,
      pressure: pressure.now,
      nozzles,
      catching: { time, catches },
      runs: [{ id: runId, used: { text: '', unit: catches[0]?.unit ?? 'fl oz' } }],
    },
  }
}
