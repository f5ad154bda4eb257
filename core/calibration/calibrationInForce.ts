import type { CalibrationDocument } from './calibrationDocument'

/** A calibration with where it is kept. */
export interface KeptCalibration {
  readonly id: string
  readonly version: number
  readonly document: CalibrationDocument
}

/**
 * The calibration to work by: of a sprayer (water) the latest; of a spreader the latest with this product, else the latest of all,
 * which the sheet then warns about. One made after the day is not in force yet.
 * @param day YYYY-MM-DD; @param product as named on the label
 * Source: trade.md 3 (a dial number means nothing without its product).
 */
export function calibrationInForce(calibrations: readonly KeptCalibration[], day: string, product: string): KeptCalibration | undefined {
  const standing = calibrations.filter(({ document }) => document.course.on !== '' && document.course.on <= day)
    .toSorted((a, b) => (a.document.course.on < b.document.course.on ? 1 : a.document.course.on > b.document.course.on ? -1 : a.id < b.id ? 1 : -1))
  const wanted = product.trim().toLowerCase()
  return standing.find(({ document }) => document.kind === 'spread' && document.course.product.trim().toLowerCase() === wanted) ?? standing[0]
}
