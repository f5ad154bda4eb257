import { LIST_METHODS } from './listMethods'
import type { Method, Readings } from './method'
import { SIMPLE_SHAPES } from './simpleShapes'

const TABLE = { ...SIMPLE_SHAPES, ...LIST_METHODS } as const

export type MethodName = keyof typeof TABLE
/** Every way of measuring one piece of ground by lengths and angles. */
export const METHODS: Readonly<Record<MethodName, Method>> = TABLE
export const METHOD_NAMES = Object.keys(TABLE) as readonly MethodName[]

/**
 * Step of the numeric slopes, as a share of the reading: small enough for curves, large enough for the digits
 * of a double.
 */
const SLOPE_STEP = 1e-4

/**
 * How much the area grows for each unit more of every reading: m2 per m, the angle last in m2 per radian.
 * Central differences.
 */
export function slopesOf(
  method: Method,
  readings: Readings,
): { readonly lengths: readonly number[]; readonly angle: number } {
  const along = (value: number, put: (value: number) => Readings) => {
    const step = Math.max(value, 1e-3) * SLOPE_STEP
    return (method.area(put(value + step)) - method.area(put(value - step))) / (2 * step)
  }
  const replaced = (values: readonly number[], i: number, value: number) =>
    values.map((one, j) => (i === j ? value : one))
  return {
    lengths: [
      ...readings.fixed.map((value, i) =>
        along(value, (next) => ({ ...readings, fixed: replaced(readings.fixed, i, next) })),
      ),
      ...readings.list.map((value, i) =>
        along(value, (next) => ({ ...readings, list: replaced(readings.list, i, next) })),
      ),
    ],
    angle: method.angle === undefined ? 0 : along(readings.angle, (angle) => ({ ...readings, angle })),
  }
}
