import { distance, type Point } from '../../ground/plane'
import type { Lane, LanePass } from '../plan/lanePlan'

/** Turns under this need no walking on, degrees. */
const LEAST_TURN = 30

/**
 * Laps as they are to be walked: at a corner of the lawn on to the edge, then round. Each leg behind a corner
 * is a line of its own, of the same lane.
 * @param side on which the edge lies @param width of a lane, m
 */
export const cornersWalkedOn = (
  passes: readonly LanePass[],
  side: 'left' | 'right',
  width: number,
): readonly LanePass[] =>
  passes.map(({ direction, lanes }) => ({
    direction,
    lanes: lanes.flatMap((lane) => (lane.edge ? legsOf(lane, side, width) : [lane])),
  }))

function legsOf(lane: Lane, side: 'left' | 'right', width: number): readonly Lane[] {
  const { line } = lane
  const legs: Point[][] = [[]]
  line.forEach((corner, i) => {
    legs.at(-1)?.push(corner)
    const before = line[i - 1]
    // A lap ends where it began: its last corner is turned at too.
    const after = line[i + 1] ?? (isClosed(line) ? line[1] : undefined)
    const on = before && after && walkOn(before, corner, after, side, width)
    if (!on) return
    legs.at(-1)?.push(on)
    if (i + 1 < line.length) legs.push([corner])
  })
  return legs.filter((leg) => leg.length > 1).map((leg) => ({ ...lane, line: leg }))
}

const isClosed = (line: readonly Point[]): boolean => {
  const [first, last] = [line[0], line.at(-1)]
  return line.length > 2 && first !== undefined && last !== undefined && distance(first, last) < 1e-9
}

/** Where one walks on to before turning away from the edge; undefined where one does not. */
function walkOn(
  [ax, ay]: Point,
  [x, y]: Point,
  [bx, by]: Point,
  side: 'left' | 'right',
  width: number,
): Point | undefined {
  const length = Math.hypot(x - ax, y - ay)
  if (length === 0) return undefined
  const [east, north] = [(x - ax) / length, (y - ay) / length]
  const turn =
    (Math.atan2(east * (by - y) - north * (bx - x), east * (bx - x) + north * (by - y)) * 180) / Math.PI
  const away = side === 'right' ? turn : -turn
  if (away < LEAST_TURN) return undefined
  const on = (width / 2) * Math.min(1, Math.tan((away * Math.PI) / 360))
  return [x + east * on, y + north * on]
}
