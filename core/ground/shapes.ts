/** What is taped for each simple shape, in the order it is asked for. */
export const SHAPE_LENGTHS = {
  rectangle: ['length', 'width'],
  triangle: ['base', 'height'],
  trapezoid: ['side', 'opposite', 'height'],
  circle: ['diameter'],
  ellipse: ['length', 'width'],
} as const

export type ShapeKind = keyof typeof SHAPE_LENGTHS
export const SHAPE_KINDS = Object.keys(SHAPE_LENGTHS) as readonly ShapeKind[]
export type LengthName = (typeof SHAPE_LENGTHS)[ShapeKind][number]

interface ShapeFormula {
  /** m2 from the lengths in the order of SHAPE_LENGTHS, in metres. */
  readonly area: (lengths: readonly number[]) => number
  /** m2 more for each metre more of each length: how a reading error travels into the area. */
  readonly slopes: (lengths: readonly number[]) => readonly number[]
  readonly words: string
}

/**
 * Area formulas of plane geometry and their partial derivatives.
 * Trapezoid: two parallel sides and the distance between them. Ellipse: full length and full width, not half axes.
 */
export const SHAPE_FORMULAS: Readonly<Record<ShapeKind, ShapeFormula>> = {
  rectangle: { area: ([a = 0, b = 0]) => a * b, slopes: ([a = 0, b = 0]) => [b, a], words: 'length x width' },
  triangle: { area: ([b = 0, h = 0]) => (b * h) / 2, slopes: ([b = 0, h = 0]) => [h / 2, b / 2], words: 'base x height / 2' },
  trapezoid: {
    area: ([a = 0, b = 0, h = 0]) => ((a + b) / 2) * h,
    slopes: ([a = 0, b = 0, h = 0]) => [h / 2, h / 2, (a + b) / 2],
    words: '(side + opposite) / 2 x height',
  },
  circle: { area: ([d = 0]) => (Math.PI * d * d) / 4, slopes: ([d = 0]) => [(Math.PI * d) / 2], words: 'pi x diameter x diameter / 4' },
  ellipse: {
    area: ([a = 0, b = 0]) => (Math.PI * a * b) / 4,
    slopes: ([a = 0, b = 0]) => [(Math.PI * b) / 4, (Math.PI * a) / 4],
    words: 'pi x length x width / 4',
  },
}
