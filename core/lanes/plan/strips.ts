import type { Ring } from '../../ground/plane'

/** From where to where along the walking direction. */
export type Span = readonly [from: number, to: number]

/** A side of a ring, the end that lies further left first. */
interface Side {
  readonly left: number
  readonly right: number
  readonly at: number
  readonly slope: number
}

/** What is nearer than the steps outlines are cut in touches. m */
const TOUCH = 2e-6

/** Rings along a direction, ready to be cut into strips. */
export interface Field {
  readonly sides: readonly Side[]
  /** Where corners lie, from left to right. */
  readonly corners: readonly number[]
  readonly left: number
  readonly right: number
}

/** @param rings outlines and holes as (along, right) */
export function fieldOf(rings: readonly Ring[]): Field {
  const sides: Side[] = []
  const corners: number[] = []
  for (const ring of rings)
    for (let i = 0; i < ring.length; i++) {
      const [a, r] = ring[i]!
      const [b, s] = ring[(i + 1) % ring.length]!
      corners.push(r)
      if (r === s) continue
      const [left, right, at, to] = r < s ? [r, s, a, b] : [s, r, b, a]
      sides.push({ left, right, at, slope: (to - at) / (right - left) })
    }
  corners.sort((a, b) => a - b)
  sides.sort((a, b) => a.left - b.left)
  return { sides, corners, left: corners[0] ?? 0, right: corners.at(-1) ?? 0 }
}

const atOf = ({ at, left, slope }: Side, right: number): number => at + (right - left) * slope

/** Where a line along the direction runs over the ground. @param right how far to the right it lies */
export function lineSpans({ sides }: Field, right: number): readonly Span[] {
  const crossed: number[] = []
  for (const side of sides) {
    if (side.left > right) break
    if (side.right > right) crossed.push(atOf(side, right))
  }
  crossed.sort((a, b) => a - b)
  return pairs(crossed)
}

/**
 * As far as ground reaches anywhere in a strip: whoever walks its middle so far covers all of it.
 * @param from, to how far to the right its edges lie
 */
export function stripSpans({ sides, corners }: Field, from: number, to: number): readonly Span[] {
  const cuts = [from, ...between(corners, from, to), to]
  const near: Side[] = []
  for (const side of sides) {
    if (side.left >= to) break
    if (side.right > from) near.push(side)
  }
  const spans: Span[] = []
  // Written out: a lawn of hundreds of corners is cut into strips in many directions while one waits.
  const crossed: Side[] = []
  const places: number[] = []
  for (let i = 1; i < cuts.length; i++) {
    const [a, b] = [cuts[i - 1]!, cuts[i]!]
    if (!(b > a)) continue
    const middle = (a + b) / 2
    let count = 0
    for (const side of near) {
      if (side.left >= middle) break
      if (side.right <= middle) continue
      const at = atOf(side, middle)
      let place = count
      for (; place > 0 && places[place - 1]! > at; place--) {
        places[place] = places[place - 1]!
        crossed[place] = crossed[place - 1]!
      }
      places[place] = at
      crossed[place] = side
      count += 1
    }
    for (let pair = 0; pair + 1 < count; pair += 2) {
      const [low, high] = [crossed[pair]!, crossed[pair + 1]!]
      const begin = Math.min(atOf(low, a), atOf(low, b))
      const end = Math.max(atOf(high, a), atOf(high, b))
      const known = spans.findIndex(([from, to]) => begin <= to + TOUCH && end >= from - TOUCH)
      if (known < 0) spans.push([begin, end])
      else spans[known] = [Math.min(spans[known]![0], begin), Math.max(spans[known]![1], end)]
    }
  }
  return joined(spans)
}

function between(corners: readonly number[], from: number, to: number): readonly number[] {
  const found: number[] = []
  for (const corner of corners) {
    if (corner >= to) break
    if (corner > from && corner !== found.at(-1)) found.push(corner)
  }
  return found
}

function pairs(crossed: readonly number[]): readonly Span[] {
  const spans: Span[] = []
  for (let i = 0; i + 1 < crossed.length; i += 2) spans.push([crossed[i]!, crossed[i + 1]!])
  return spans
}

/** Spans that overlap or touch become one. */
function joined(spans: readonly Span[]): readonly Span[] {
  if (spans.length < 2) return spans
  const ordered = spans.toSorted(([a], [b]) => a - b)
  const found: Span[] = []
  for (const [from, to] of ordered) {
    const last = found.at(-1)
    if (last && from <= last[1] + TOUCH) found[found.length - 1] = [last[0], Math.max(last[1], to)]
    else found.push([from, to])
  }
  return found
}
