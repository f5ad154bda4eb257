import { meanOf } from '../../quantity/counting'
import { betweenVariance } from './betweenReadings'
import { boundsOf, type Point, type Ring } from '../plane'
import { closes, heron, openTriangle, triangleRing, type Method, type Readings } from './method'

const sum = (values: readonly number[]) => values.reduce((total, value) => total + value, 0)
const six = (value: number) => String(Number(value.toPrecision(6)))

/** Widths across a baseline at equal steps, by the rule that fits how they were taken. */
function offsetsArea({ fixed: [spacing = 0], list, rule }: Readings): number {
  if (rule === 'interval') return spacing * sum(list)
  const ends = (list[0] ?? 0) + (list.at(-1) ?? 0)
  if (rule === 'trapezoid') return spacing * (sum(list) - ends / 2)
  const odd = sum(list.filter((_, i) => i % 2 === 1))
  return (spacing / 3) * (ends + 4 * odd + 2 * (sum(list) - ends - odd))
}

const OFFSET_WORDS: Readonly<Record<string, string>> = {
  interval: 'spacing x sum of widths',
  trapezoid: 'spacing x (sum of widths - half the two ends)',
  simpson: 'spacing / 3 x (ends + 4 x even ones + 2 x odd ones between)',
}

function offsetsRing({ fixed: [spacing = 0], list, rule }: Readings): Ring {
  const shift = rule === 'interval' ? spacing / 2 : 0
  const along = rule === 'interval' ? list.length * spacing : (list.length - 1) * spacing
  const tops = list.map((width, i): Point => [shift + i * spacing, width]).toReversed()
  return rule === 'interval'
    ? [[0, 0], [along, 0], [along, list.at(-1) ?? 0], ...tops, [0, list[0] ?? 0]]
    : [[0, 0], [along, 0], ...tops]
}

const step = (list: readonly number[]) => (2 * Math.PI) / list.length
const neighbours = (list: readonly number[]) =>
  sum(list.map((radius, i) => radius * (list[(i + 1) % list.length] ?? 0)))

/** What each reading of the same radii comes to, m2. The last is never used: it stands beside old notes. */
export const radiiForms = (list: readonly number[]) => ({
  rounded: Math.PI * meanOf(list.map((radius) => radius * radius)),
  straight: (Math.sin(step(list)) / 2) * neighbours(list),
  'old notes': Math.PI * meanOf(list) ** 2,
})

const radiiRing = (list: readonly number[]): Ring =>
  list.map((radius, i): Point => [radius * Math.sin(i * step(list)), radius * Math.cos(i * step(list))])

const triples = (list: readonly number[]) =>
  Array.from(
    { length: Math.floor(list.length / 3) },
    (_, i) => [list[3 * i] ?? 0, list[3 * i + 1] ?? 0, list[3 * i + 2] ?? 0] as const,
  )

/** Triangles side by side: how they lie against each other was not taped. */
function triangleRings(list: readonly number[]): readonly Ring[] {
  let right = 0
  return triples(list).map(([a, b, c]) => {
    const ring = triangleRing(a, b, c)
    const box = boundsOf(ring)
    const shift = right - (box?.minX ?? 0)
    right += (box ? box.maxX - box.minX : 0) * 1.04
    return ring.map(([x, y]): Point => [x + shift, y])
  })
}

/** Methods that take a list of lengths. */
export const LIST_METHODS = {
  offsets: {
    fixed: ['spacing'],
    list: { one: 'Width', least: 1, zero: 'zero-too' },
    rules: [
      { rule: 'interval', assumes: 'each width stands in the middle of its step' },
      { rule: 'trapezoid', assumes: 'the first and last widths stand at the ends; straight edges between' },
      { rule: 'simpson', assumes: 'ends measured, an odd number of widths; smoothly curved edges' },
    ],
    area: offsetsArea,
    between: ({ fixed: [spacing = 0], list }) => betweenVariance(list, spacing, 'open'),
    problem: ({ list, rule }) => {
      if (sum(list) <= 0) return 'At least one width must be above zero.'
      if (rule === 'trapezoid' && list.length < 2)
        return 'The trapezoid rule needs at least two widths: those of the ends.'
      if (rule === 'simpson' && (list.length < 3 || list.length % 2 === 0))
        return (
          `Simpson’s rule needs an odd number of widths, at least three; these are ${list.length}. Add ` +
          'one, or take the trapezoid rule.'
        )
      return undefined
    },
    words: ({ list, rule }) => `${list.length} widths, ${OFFSET_WORDS[rule] ?? ''}; sum ${six(sum(list))} m`,
    rings: (readings) => [offsetsRing(readings)],
  },
  radii: {
    fixed: [],
    list: { one: 'Radius', least: 3, zero: 'above-zero' },
    rules: [
      { rule: 'rounded', assumes: 'the outline is rounded between the points' },
      { rule: 'straight', assumes: 'the outline really is straight from point to point' },
    ],
    area: ({ list, rule }) => radiiForms(list)[rule === 'straight' ? 'straight' : 'rounded'],
    between: ({ list, rule }) =>
      rule === 'straight'
        ? 0
        : betweenVariance(
            list.map((radius) => (radius * radius) / 2),
            step(list),
            'round',
          ),
    words: ({ list, rule }) => {
      const forms = radiiForms(list)
      return (
        `${list.length} radii every ${six(360 / list.length)} degrees, ` +
        (rule === 'straight' ? '1/2 sin(step) x sum of neighbours’ products' : 'pi x mean of the squares') +
        '; ' +
        `rounded ${six(forms.rounded)}, straight ${six(forms.straight)}, pi x (mean)2, which reads low, ` +
        `${six(forms['old notes'])} m2`
      )
    },
    rings: ({ list }) => [radiiRing(list)],
  },
  triangles: {
    fixed: [],
    list: { one: 'Side', least: 3, zero: 'above-zero' },
    area: ({ list }) => sum(triples(list).map(([a, b, c]) => heron(a, b, c))),
    problem: ({ list }) => {
      if (list.length % 3 !== 0)
        return (
          `Each triangle has three sides; ${list.length} ` +
          `${list.length === 1 ? 'length makes' : 'lengths make'} ${six(list.length / 3)} of them.`
        )
      const open = triples(list).findIndex((sides) => !closes(...sides))
      return open < 0 ? undefined : openTriangle(`Triangle ${open + 1}`, triples(list)[open] ?? [])
    },
    words: ({ list }) =>
      `${list.length / 3} triangles by Heron: ${triples(list)
        .map((sides) => six(heron(...sides)))
        .join(' + ')} m2`,
    rings: ({ list }) => triangleRings(list),
  },
} as const satisfies Readonly<Record<string, Method>>
