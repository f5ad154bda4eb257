import type { CalibrationDocument } from './calibrationShape'
import type { Course } from './readCourse'
import { calibrationTrust, type TrustReason, type TrustQuestion } from './calibrationTrust'

/** A calibration with where it is kept. */
export interface LibraryCalibration {
  readonly id: string
  readonly version: number
  readonly document: CalibrationDocument
}

export const courseOf = (document: CalibrationDocument): Course =>
  document.kind === 'spread'
    ? { kind: 'spread', note: document.course }
    : { kind: 'spray', note: document.course }

/** What a failed ground costs: no sum of lighter ones outweighs a heavier one. */
const WEIGHTS: Readonly<Record<TrustReason['about'], number>> = { product: 8, nozzles: 4, day: 2, speed: 1 }
const against = (calibration: LibraryCalibration, question: TrustQuestion) =>
  calibrationTrust(courseOf(calibration.document), question).reduce(
    (sum, { about, holds }) => (holds ? sum : sum + WEIGHTS[about]),
    0,
  )

/**
 * The calibration to work by: the one that least speaks against, of those the newest. The sheet then warns of
 * what does speak against it. One made after the day is not in force yet.
 * Source: trade.md 3 (a dial number means nothing without its product), 4, 6.
 */
export function calibrationInForce(
  calibrations: readonly LibraryCalibration[],
  question: TrustQuestion,
): LibraryCalibration | undefined {
  const ranked = calibrations
    .filter(({ document }) => document.course.on !== '' && document.course.on <= question.day)
    .map((calibration) => ({
      calibration,
      cost: against(calibration, question),
      on: calibration.document.course.on,
    }))
  return ranked.toSorted(
    (a, b) =>
      a.cost - b.cost || (a.on < b.on ? 1 : a.on > b.on ? -1 : a.calibration.id < b.calibration.id ? 1 : -1),
  )[0]?.calibration
}
