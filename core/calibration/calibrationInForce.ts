import { dayText } from '../calendar/dayText'
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

/** What makes one calibration better than another that as little speaks against. */
interface Standing {
  readonly calibration: LibraryCalibration
  /** What speaks against it, weighed. */
  readonly cost: number
  /** A test of two runs or more: it shows how far they agree. */
  readonly isTested: boolean
  readonly on: string
}

function standings(
  calibrations: readonly LibraryCalibration[],
  question: TrustQuestion,
): readonly Standing[] {
  const found = calibrations
    .filter(({ document }) => document.course.on !== '' && document.course.on <= question.day)
    .map((calibration): Standing => {
      const { course } = calibration.document
      return {
        calibration,
        cost: against(calibration, question),
        isTested: course.by !== 'job' && course.runs.length > 1,
        on: course.on,
      }
    })
  return found.toSorted(
    (a, b) =>
      a.cost - b.cost ||
      Number(b.isTested) - Number(a.isTested) ||
      (a.on < b.on ? 1 : a.on > b.on ? -1 : a.calibration.id < b.calibration.id ? 1 : -1),
  )
}

/**
 * The calibration to work by: the one that least speaks against (product, nozzles, age, speed); of those a
 * test of several runs before a single one or a job; of those the newest. The sheet then warns of what does
 * speak against it. One made after the day is not in force yet.
 * Source: trade.md 3 (a dial number means nothing without its product; a job never displaces a better test),
 * 4, 6.
 */
export const calibrationInForce = (
  calibrations: readonly LibraryCalibration[],
  question: TrustQuestion,
): LibraryCalibration | undefined => standings(calibrations, question)[0]?.calibration

/**
 * Why the one in force goes before the others; undefined where there is no other.
 * @example 'goes before a newer job: two runs or more were tested'
 */
export function whyInForce(
  calibrations: readonly LibraryCalibration[],
  question: TrustQuestion,
): string | undefined {
  const [best, second] = standings(calibrations, question)
  if (!best || !second) return undefined
  const other = `the one of ${dayText(second.on)}`
  if (best.cost < second.cost) {
    const trust = calibrationTrust(courseOf(second.calibration.document), question)
    const [worst] = trust
      .filter(({ holds }) => !holds)
      .toSorted((a, b) => WEIGHTS[b.about] - WEIGHTS[a.about])
    return `goes before ${other}${worst ? `: ${worst.words}` : ''}`
  }
  const single = second.calibration.document.course.by === 'job' ? 'a job' : 'a single run'
  if (best.isTested && !second.isTested) return `goes before ${other}, ${single}`
  return `the newest, before ${other}`
}
