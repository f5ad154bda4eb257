import type { Ring } from '../plane'

/** What was read for one piece of ground, in metres and radians. */
export interface Readings {
  /** In the order of the method's `fixed`. */
  readonly fixed: readonly number[]
  /** Radians; 0 where the method asks for no angle. */
  readonly angle: number
  /** The method's list: widths, radii or sides. */
  readonly list: readonly number[]
  readonly rule: MeasuringRule
}

/** One way of measuring a piece of ground (trade.md 2). All formulas are of plane geometry. */
export interface Method {
  /** Names of the lengths asked once each, in order. */
  readonly fixed: readonly ReadingName[]
  readonly angle?: string
  /** A list of lengths: what one is called, how few will do, whether nought is a reading. */
  readonly list?: { readonly one: string; readonly least: number; readonly zero: 'zero-too' | 'above-zero' }
  /** Rules the list can be worked by, the usual one first, each with what it assumes. */
  readonly rules?: readonly { readonly rule: MeasuringRule; readonly assumes: string }[]
  /**
   * What must be said of the rule, because readings can't tell it; absent: the first rule stands until
   * another is chosen.
   */
  readonly ruleQuestion?: string
  /** m2; only asked where `problem` found none. */
  readonly area: (readings: Readings) => number
  /**
   * Variance, m4, of what the outline does between its readings; absent where they hold all of it.
   */
  readonly between?: (readings: Readings) => number
  /** Why these readings make no piece of ground, in words; undefined when they do. */
  readonly problem?: (readings: Readings) => string | undefined
  /** The formula in words, for the working. */
  readonly words: (readings: Readings) => string
  /**
   * Its shape to scale about its own zero, for drawing; more than one ring where the pieces' places are not
   * known.
   */
  readonly rings: (readings: Readings) => readonly Ring[]
}

/** Ways to work one set of readings, where a method has more than one; blank: its first. */
export const MEASURING_RULES = [
  '',
  'interval',
  'trapezoid',
  'simpson',
  'rounded',
  'straight',
  'inside',
  'outside',
] as const
export type MeasuringRule = (typeof MEASURING_RULES)[number]

export const READING_NAMES = [
  'length',
  'width',
  'base',
  'height',
  'side',
  'opposite',
  'diameter',
  'radius',
  'circumference',
  'outer',
  'inner',
  'first',
  'second',
  'third',
  'fourth',
  'diagonal',
  'spacing',
] as const
export type ReadingName = (typeof READING_NAMES)[number]

/** Corners that stand for a round outline when it is drawn. */
const ROUND = 64

export const roundRing = (halfWidth: number, halfHeight = halfWidth): Ring =>
  Array.from(
    { length: ROUND },
    (_, i) =>
      [
        halfWidth * Math.cos((2 * Math.PI * i) / ROUND),
        halfHeight * Math.sin((2 * Math.PI * i) / ROUND),
      ] as const,
  )

/** A rectangle about its own middle. */
export const boxRing = (width: number, height: number): Ring => [
  [-width / 2, -height / 2],
  [width / 2, -height / 2],
  [width / 2, height / 2],
  [-width / 2, height / 2],
]

/** Area of a triangle from its sides. Source: Heron's formula. */
export function heron(a: number, b: number, c: number): number {
  const half = (a + b + c) / 2
  return Math.sqrt(Math.max(0, half * (half - a) * (half - b) * (half - c)))
}

/** Whether three sides can close. */
export const closes = (a: number, b: number, c: number): boolean => a < b + c && b < a + c && c < a + b

export const openTriangle = (which: string, sides: readonly number[]): string =>
  `${which} can’t close: its longest side (${Math.max(...sides).toPrecision(4)} m) is as long as the ` +
  'other two together. Check the three lengths and their units.'

/** A triangle trust on its first side, from its three sides. */
export function triangleRing(a: number, b: number, c: number): Ring {
  const x = (a * a + c * c - b * b) / (2 * a)
  return [
    [0, 0],
    [a, 0],
    [x, Math.sqrt(Math.max(0, c * c - x * x))],
  ]
}
