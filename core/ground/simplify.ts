import { distance, type Point, type Ring } from './plane'

/**
 * A ring with the corners left out that lie within a tolerance of the line between their neighbours.
 * Source: Douglas and Peucker 1973, on the two halves between the first corner and the one farthest from it;
 * without recursion, so that a track of two hundred thousand points can't exhaust the stack.
 * @param tolerance m; 0 keeps every corner
 */
export function simplify(ring: Ring, tolerance: number): Ring {
  if (tolerance <= 0 || ring.length <= 3) return ring
  let far = 0
  for (let i = 1; i < ring.length; i++)
    if (distance(ring[0]!, ring[i]!) > distance(ring[0]!, ring[far]!)) far = i
  if (far === 0) return ring
  const round = [...ring, ring[0]!]
  const kept = new Uint8Array(round.length)
  kept[0] = kept[far] = kept[round.length - 1] = 1
  const open: [number, number][] = [
    [0, far],
    [far, round.length - 1],
  ]
  for (let span = open.pop(); span; span = open.pop()) {
    const [from, to] = span
    let [worst, at] = [0, -1]
    for (let i = from + 1; i < to; i++) {
      const off = offLine(round[i]!, round[from]!, round[to]!)
      if (off > worst) [worst, at] = [off, i]
    }
    if (at < 0 || worst <= tolerance) continue
    kept[at] = 1
    open.push([from, at], [at, to])
  }
  const simple = ring.filter((_, i) => kept[i] === 1)
  return simple.length >= 3 ? simple : ring
}

/** Distance of a point from the stretch between two others, m. */
function offLine(point: Point, a: Point, b: Point): number {
  const [dx, dy] = [b[0] - a[0], b[1] - a[1]]
  const length = dx * dx + dy * dy
  if (length === 0) return distance(point, a)
  const t = Math.max(0, Math.min(1, ((point[0] - a[0]) * dx + (point[1] - a[1]) * dy) / length))
  return distance(point, [a[0] + t * dx, a[1] + t * dy])
}

/** A ring without corners that repeat the one before (a walker who stood still), m apart at least. */
export function withoutRepeats(ring: Ring, apart = 0.001): Ring {
  const kept: Point[] = []
  for (const point of ring) if (kept.length === 0 || distance(kept.at(-1)!, point) >= apart) kept.push(point)
  while (kept.length > 1 && distance(kept[0]!, kept.at(-1)!) < apart) kept.pop()
  return kept
}
