import type { Ring } from '../plane'
import { boxRing, closes, heron, openTriangle, roundRing, triangleRing, type Method } from './method'

const ARC = 32

/** A pie piece from its middle: half-angles either side of upward. */
function sectorRing(radius: number, angle: number): Ring {
  const arc = Array.from({ length: ARC + 1 }, (_, i) => {
    const at = Math.PI / 2 - angle / 2 + (angle * i) / ARC
    return [radius * Math.cos(at), radius * Math.sin(at)] as const
  })
  return angle >= 2 * Math.PI - 1e-9 ? arc.slice(0, -1) : [[0, 0], ...arc]
}

/** Two circles in one outline, by a cut from the outer to the inner one. */
function annulusRing(outer: number, inner: number): Ring {
  const [out, within] = [roundRing(outer), roundRing(inner)]
  return [...out, out[0]!, within[0]!, ...within.slice(1).toReversed(), within[0]!]
}

/**
 * Second triangle of four sides on the diagonal: under the first, or within it where the diagonal lies
 * outside.
 */
function quadrilateralRing(
  first: number,
  second: number,
  third: number,
  fourth: number,
  diagonal: number,
  lies: 'inside' | 'outside',
): Ring {
  const above = triangleRing(diagonal, second, first)
  const below = triangleRing(diagonal, third, fourth)
  const [[, , top], [, , low]] = [above, below]
  return [[0, 0], [low![0], lies === 'inside' ? -low![1] : low![1]], [diagonal, 0], top!]
}

const sameSize = (one: number, other: number) => Math.abs(one - other) <= 1e-9 * Math.max(one, other)

const circleBy = (
  name: 'diameter' | 'radius' | 'circumference',
  radiusOf: (reading: number) => number,
  words: string,
): Method => ({
  fixed: [name],
  area: ({ fixed: [reading = 0] }) => Math.PI * radiusOf(reading) ** 2,
  words: () => words,
  rings: ({ fixed: [reading = 0] }) => [roundRing(radiusOf(reading))],
})

/**
 * Shapes with a fixed number of dimensions. Trapezoid: two parallel sides and the distance between them.
 * Ellipse: full length and full width, not half axes.
 */
export const SIMPLE_SHAPES = {
  rectangle: {
    fixed: ['length', 'width'],
    area: ({ fixed: [a = 0, b = 0] }) => a * b,
    words: () => 'length x width',
    rings: ({ fixed: [a = 0, b = 0] }) => [boxRing(a, b)],
  },
  triangle: {
    fixed: ['base', 'height'],
    area: ({ fixed: [b = 0, h = 0] }) => (b * h) / 2,
    words: () => 'base x height / 2',
    rings: ({ fixed: [b = 0, h = 0] }) => [
      [
        [-b / 2, -h / 2],
        [b / 2, -h / 2],
        [0, h / 2],
      ],
    ],
  },
  'three sides': {
    fixed: ['first', 'second', 'third'],
    area: ({ fixed: [a = 0, b = 0, c = 0] }) => heron(a, b, c),
    problem: ({ fixed: [a = 0, b = 0, c = 0] }) =>
      closes(a, b, c) ? undefined : openTriangle('This triangle', [a, b, c]),
    words: ({ fixed: [a = 0, b = 0, c = 0] }) =>
      `Heron: s = half the sum = ${((a + b + c) / 2).toPrecision(6)} m, root of s (s - a) (s - b) (s - c)`,
    rings: ({ fixed: [a = 0, b = 0, c = 0] }) => [triangleRing(a, b, c)],
  },
  'two sides and angle': {
    fixed: ['first', 'second'],
    angle: 'Angle between',
    area: ({ fixed: [a = 0, b = 0], angle }) => (a * b * Math.sin(angle)) / 2,
    problem: ({ angle }) =>
      angle < Math.PI ? undefined : 'The angle between two sides of a triangle is under 180°.',
    words: () => 'first x second x sin(angle) / 2',
    rings: ({ fixed: [a = 0, b = 0], angle }) => [
      [
        [0, 0],
        [a, 0],
        [b * Math.cos(angle), b * Math.sin(angle)],
      ],
    ],
  },
  trapezoid: {
    fixed: ['side', 'opposite', 'height'],
    area: ({ fixed: [a = 0, b = 0, h = 0] }) => ((a + b) / 2) * h,
    words: () => '(side + opposite) / 2 x height',
    rings: ({ fixed: [a = 0, b = 0, h = 0] }) => [
      [
        [-a / 2, -h / 2],
        [a / 2, -h / 2],
        [b / 2, h / 2],
        [-b / 2, h / 2],
      ],
    ],
  },
  circle: circleBy('diameter', (d) => d / 2, 'pi x diameter x diameter / 4'),
  'circle by radius': circleBy('radius', (r) => r, 'pi x radius x radius'),
  'circle by circumference': circleBy(
    'circumference',
    (c) => c / (2 * Math.PI),
    'circumference x circumference / (4 pi)',
  ),
  ellipse: {
    fixed: ['length', 'width'],
    area: ({ fixed: [a = 0, b = 0] }) => (Math.PI * a * b) / 4,
    words: () => 'pi x length x width / 4',
    rings: ({ fixed: [a = 0, b = 0] }) => [roundRing(a / 2, b / 2)],
  },
  sector: {
    fixed: ['radius'],
    angle: 'Angle',
    area: ({ fixed: [r = 0], angle }) => (angle * r * r) / 2,
    problem: ({ angle }) => (angle <= 2 * Math.PI + 1e-9 ? undefined : 'A sector has at most 360°.'),
    words: () => 'angle / 360 x pi x radius x radius',
    rings: ({ fixed: [r = 0], angle }) => [sectorRing(r, angle)],
  },
  ring: {
    fixed: ['outer', 'inner'],
    area: ({ fixed: [outer = 0, inner = 0] }) => (Math.PI * (outer * outer - inner * inner)) / 4,
    problem: ({ fixed: [outer = 0, inner = 0] }) =>
      inner < outer ? undefined : 'The inner diameter of a ring is less than the outer one.',
    words: () => 'pi x (outer x outer - inner x inner) / 4',
    rings: ({ fixed: [outer = 0, inner = 0] }) => [annulusRing(outer / 2, inner / 2)],
  },
  'four sides and diagonal': {
    fixed: ['first', 'second', 'third', 'fourth', 'diagonal'],
    rules: [
      { rule: 'inside', assumes: 'the diagonal lies inside the ground' },
      { rule: 'outside', assumes: 'the ground bends inward and the diagonal lies outside it' },
    ],
    ruleQuestion: 'Lengths can’t tell whether the diagonal lies inside the ground: say which.',
    area: ({ fixed: [a = 0, b = 0, c = 0, d = 0, e = 0], rule }) =>
      rule === 'outside' ? Math.abs(heron(a, b, e) - heron(c, d, e)) : heron(a, b, e) + heron(c, d, e),
    problem: ({ fixed: [a = 0, b = 0, c = 0, d = 0, e = 0], rule }) => {
      if (!closes(a, b, e))
        return openTriangle('The triangle of the first side, the second and the diagonal', [a, b, e])
      if (!closes(c, d, e))
        return openTriangle('The triangle of the third side, the fourth and the diagonal', [c, d, e])
      return rule === 'outside' && sameSize(heron(a, b, e), heron(c, d, e))
        ? 'The two triangles are of one size: with the diagonal outside, nothing lies between them.'
        : undefined
    },
    words: ({ fixed: [a = 0, b = 0, c = 0, d = 0, e = 0], rule }) =>
      `two triangles by Heron, ${heron(a, b, e).toPrecision(6)} ${rule === 'outside' ? 'less' : '+'} ` +
      `${heron(c, d, e).toPrecision(6)} m2; ` +
      'the diagonal runs from the start of the first side to the end of the second' +
      (rule === 'outside' ? ', outside the ground' : ''),
    rings: ({ fixed: [a = 0, b = 0, c = 0, d = 0, e = 0], rule }) => [
      quadrilateralRing(a, b, c, d, e, rule === 'outside' ? 'outside' : 'inside'),
    ],
  },
} as const satisfies Readonly<Record<string, Method>>
