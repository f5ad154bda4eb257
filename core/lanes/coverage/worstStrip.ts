import type { LanePass } from '../plan/lanePlan'
import { heading } from '../plan/heading'
import type { Point } from '../../ground/plane'
import type { Grid } from './grid'

/** A strip along the lanes that gets furthest from what was meant. */
export interface WorstStrip {
  /** Its mean over the target. */
  readonly share: number
  /** Of which pass it lies along the lanes, from 1. */
  readonly pass: number
  /** The lanes on either side; one where it lies beyond the last. */
  readonly between: readonly number[]
  /** Its middle, from end to end. */
  readonly line: readonly [Point, Point]
}

/** Strips are an eighth of a lane wide, and count from two widths of length on. */
const [STRIPS_A_LANE, LEAST_LENGTH] = [8, 2]

interface Strip {
  sum: number
  count: number
  from: number
  to: number
}

/**
 * The strip along the lanes of a pass whose mean is furthest from the target: what shows as a stripe.
 * @param width between lanes, m @param target kg or m3 on each m2
 */
export function worstStrip(
  grid: Grid,
  passes: readonly LanePass[],
  width: number,
  target: number,
): WorstStrip | undefined {
  const found = passes.flatMap((pass, i) => stripAlong(grid, pass, i + 1, width, target) ?? [])
  return found.toSorted((a, b) => Math.abs(b.share - 1) - Math.abs(a.share - 1))[0]
}

function stripAlong(
  { amounts, lawn, columns, rows, cell, origin: [ox, oy] }: Grid,
  { direction, lanes }: LanePass,
  pass: number,
  width: number,
  target: number,
): WorstStrip | undefined {
  const way = heading(longestWay(lanes) ?? direction)
  const breadth = width / STRIPS_A_LANE
  const strips = new Map<number, Strip>()
  for (let row = 0; row < rows; row++)
    for (let column = 0; column < columns; column++) {
      const at = row * columns + column
      if (lawn[at] !== 1) continue
      const [along, right] = way.of([ox + (column + 0.5) * cell, oy + (row + 0.5) * cell])
      const key = Math.floor(right / breadth)
      const strip = strips.get(key)
      if (!strip) strips.set(key, { sum: amounts[at]!, count: 1, from: along, to: along })
      else {
        strip.sum += amounts[at]!
        strip.count += 1
        if (along < strip.from) strip.from = along
        if (along > strip.to) strip.to = along
      }
    }
  const square = cell * cell
  const long = [...strips].filter(([, { count }]) => (count * square) / breadth >= LEAST_LENGTH * width)
  const shareOf = ({ sum, count }: Strip) => sum / (count * square) / target
  const [worst] = long.toSorted(([, a], [, b]) => Math.abs(shareOf(b) - 1) - Math.abs(shareOf(a) - 1))
  if (!worst) return undefined
  const [key, strip] = worst
  const right = (key + 0.5) * breadth
  return {
    share: shareOf(strip),
    pass,
    between: lanesBeside(lanes, way.of, right, (strip.from + strip.to) / 2),
    line: [way.back(strip.from, right), way.back(strip.to, right)],
  }
}

/** Which way its longest lane runs: narrow ground is walked along itself, whatever the pass does. */
function longestWay(lanes: LanePass['lanes']): number | undefined {
  const [longest] = lanes.filter(({ header }) => !header).toSorted((a, b) => b.length - a.length)
  const [[x, y], [u, v]] = [longest?.line[0] ?? [0, 0], longest?.line[1] ?? [0, 0]]
  return longest && (Math.atan2(u - x, v - y) * 180) / Math.PI
}

/** The nearest lane on either side of a strip, of those that pass its middle where any does. */
function lanesBeside(
  lanes: LanePass['lanes'],
  of: (point: Point) => Point,
  right: number,
  along: number,
): readonly number[] {
  const straight = lanes.flatMap(({ number, header, line: [from, to] }) => {
    if (header || !from || !to) return []
    const [[a, at], [b]] = [of(from), of(to)]
    return [{ number, at, passing: Math.min(a, b) <= along && Math.max(a, b) >= along }]
  })
  const passing = straight.filter((lane) => lane.passing)
  const near = (passing.length > 0 ? passing : straight).toSorted((a, b) => a.at - b.at)
  const before = near.findLast(({ at }) => at <= right)
  const after = near.find(({ at }) => at > right)
  return [before, after].flatMap((lane) => lane?.number ?? []).toSorted((a, b) => a - b)
}
