import { nearestOn, type Point, type Ring } from './plane'

/**
 * The smallest way by which what was moved comes to touch what stands: corner on corner where two are near,
 * else corner on side.
 * @param reach how near they must be, m
 * @returns the way to move on, m; undefined where nothing is near
 * @example a square of 10 put at 10.4 beside one at 0: move on by -0.4
 */
export function wayToTouch(
  moved: readonly Ring[],
  standing: readonly Ring[],
  reach: number,
): Point | undefined {
  const corners = moved.flat()
  const others = standing.flat()
  const meeting = corners.flatMap((from) => others.map((to) => way(from, to)))
  return (
    shortest(meeting, reach) ??
    shortest(
      [
        ...corners.flatMap((from) => sidesOf(standing).map(([a, b]) => way(from, nearestOn(from, a, b)))),
        ...others.flatMap((to) => sidesOf(moved).map(([a, b]) => way(nearestOn(to, a, b), to))),
      ],
      reach,
    )
  )
}

const way = ([fromX, fromY]: Point, [toX, toY]: Point): Point => [toX - fromX, toY - fromY]

function shortest(ways: readonly Point[], reach: number): Point | undefined {
  let best: Point | undefined
  let least = reach
  for (const one of ways) {
    const length = Math.hypot(...one)
    if (length <= least) {
      least = length
      best = one
    }
  }
  return best
}

const sidesOf = (rings: readonly Ring[]): readonly (readonly [Point, Point])[] =>
  rings.flatMap((ring) =>
    ring.flatMap((point, i) => {
      const next = ring[(i + 1) % ring.length]
      return next ? [[point, next] as const] : []
    }),
  )
