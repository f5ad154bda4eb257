import { boundsOf, distance, nearestOn, type Point } from '../../ground/plane'
import { remembered } from '../../remembered'

/** Looked at so many times a width along a line. */
const LOOKS_A_WIDTH = 4
/** What is left of a lap counts from half a width on. */
const LEAST_LENGTH = 0.5

/**
 * What of a lap is not walked already: stretches that lie next to a lane walked before are left out, for that
 * lane covers them.
 * @param line closed: it ends where it begins @param before lines that were walked
 * @param near how close is the same lane, m @param width m
 */
export function walkedOnce(
  line: readonly Point[],
  before: readonly (readonly Point[])[],
  near: number,
  width: number,
): readonly (readonly Point[])[] {
  if (before.length === 0) return [line]
  const places = finely(line, width / LOOKS_A_WIDTH)
  const free = places.map((place) => before.every((other) => isBeyond(place, other, near)))
  if (free.every(Boolean)) return [line]
  const runs: Point[][] = []
  places.forEach((place, i) => {
    if (!free[i]) return
    if (i > 0 && free[i - 1]) runs.at(-1)?.push(place)
    else runs.push([place])
  })
  // The line is closed: what goes on over its beginning is one stretch.
  const [first, last] = [runs[0], runs.at(-1)]
  if (first && last && first !== last && free[0] && free.at(-1)) {
    runs.pop()
    runs[0] = [...last, ...first.slice(1)]
  }
  return runs.filter((run) => lengthOf(run) >= LEAST_LENGTH * width)
}

const lengthOf = (line: readonly Point[]): number =>
  line.slice(1).reduce((sum, point, i) => sum + distance(line[i]!, point), 0)

/** The corners of a line and places between them, no further apart than a step. */
function finely(line: readonly Point[], step: number): readonly Point[] {
  return line.flatMap((to, i): Point[] => {
    const from = line[i - 1]
    if (!from) return [to]
    const count = Math.max(1, Math.ceil(distance(from, to) / step))
    return Array.from({ length: count }, (_, n): Point => {
      const share = (n + 1) / count
      return [from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share]
    })
  })
}

/** Of hundreds of laps most are far off: they are told by their box. */
const boxOf = remembered((line: readonly Point[]) => boundsOf(line))

function isBeyond(place: Point, line: readonly Point[], near: number): boolean {
  const box = boxOf(line)
  if (
    !box ||
    place[0] < box.minX - near ||
    place[0] > box.maxX + near ||
    place[1] < box.minY - near ||
    place[1] > box.maxY + near
  )
    return true
  for (let i = 1; i < line.length; i++) {
    const [a, b] = [line[i - 1]!, line[i]!]
    if (
      place[0] < Math.min(a[0], b[0]) - near ||
      place[0] > Math.max(a[0], b[0]) + near ||
      place[1] < Math.min(a[1], b[1]) - near ||
      place[1] > Math.max(a[1], b[1]) + near
    )
      continue
    if (distance(place, nearestOn(place, a, b)) <= near) return false
  }
  return true
}
