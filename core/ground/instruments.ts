import type { LengthUnit } from '../quantity/units'

export const INSTRUMENTS = ['tape', 'wheel', 'paced'] as const
export type Instrument = (typeof INSTRUMENTS)[number]

/**
 * One standard deviation of an instrument's scale; it makes every length it measured wrong the same way
 * (trade.md 2).
 */
export const SCALE_ERROR: Readonly<Record<Instrument, number>> = { tape: 0.005, wheel: 0.01, paced: 0.03 }

/** One standard deviation of reading one length: 0.1 ft, or 2 cm on a metric tape (trade.md 2). */
export const READING_ERROR_M: Readonly<Record<LengthUnit, number>> = {
  ft: 0.03048,
  in: 0.03048,
  yd: 0.03048,
  m: 0.02,
  cm: 0.02,
  mm: 0.02,
}

/** Whole paces are counted to the whole, others to the half (trade.md 2: half a pace a length). */
export const paceStep = (paces: number): number => (Number.isInteger(paces) ? 1 : 0.5)

/**
 * One standard deviation of reading an angle, radians: one degree, as finely as a sighted angle is read on
 * grass (house default).
 */
export const ANGLE_ERROR = Math.PI / 180
