import type { Point, Ring } from '../../ground/plane'

/** Ground seen along a walking direction: how far along, and how far to the right of it. */
export interface Along {
  readonly of: (point: Point) => Point
  readonly back: (along: number, right: number) => Point
}

/** @param direction degrees clockwise from north */
export function heading(direction: number): Along {
  // Right angles exactly: a rectangle's sides must not wobble in the last digit.
  const quarter = ((direction % 360) + 360) % 360
  const exact = { 0: [0, 1], 90: [1, 0], 180: [0, -1], 270: [-1, 0] }[quarter]
  const angle = (direction * Math.PI) / 180
  const [sine = 0, cosine = 1] = exact ?? [Math.sin(angle), Math.cos(angle)]
  return {
    of: ([x, y]) => [x * sine + y * cosine, x * cosine - y * sine],
    back: (along, right) => [along * sine + right * cosine, along * cosine - right * sine],
  }
}

export const ringsAlong = (rings: readonly Ring[], { of }: Along): readonly Ring[] =>
  rings.map((ring) => ring.map(of))
