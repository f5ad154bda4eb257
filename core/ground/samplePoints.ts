import { drawsFrom } from '../quantity/draws'
import type { Polygon } from './clipping'
import { combineOutlines } from './combineOutlines'
import { boundsOf, inside, type Point, type Ring } from './plane'

export const FEWEST_SAMPLES = 10
export const MOST_SAMPLES = 20

/** Places looked at to divide the ground into equal pieces. */
const LOOKED_AT = 6000

/**
 * Random places for soil samples, one in each of as many equal pieces of the ground: strips of equal area
 * from west to east, each cut into equal pieces from south to north. The same seed gives the same places.
 * @param net the ground, holes taken out; @param count 10 to 20 are usual
 * @returns in walking order, up one strip and down the next; empty when there is no ground
 */
export function samplePoints(net: readonly Polygon[], count: number, seed: number): readonly Point[] {
  const box = boundsOf(net.flatMap(([outline]) => outline ?? []))
  if (!box || count < 1) return []
  const draw = drawsFrom(seed)
  const step = Math.sqrt(((box.maxX - box.minX) * (box.maxY - box.minY)) / LOOKED_AT)
  const spots: Point[] = []
  for (let x = box.minX + step / 2; x < box.maxX; x += step) {
    for (let y = box.minY + step / 2; y < box.maxY; y += step) {
      const spot: Point = [x + (draw() - 0.5) * step, y + (draw() - 0.5) * step]
      if (within(spot, net)) spots.push(spot)
    }
  }
  const strips = Math.max(1, Math.round(Math.sqrt(count)))
  const points: Point[] = []
  const byX = spots.toSorted((a, b) => a[0] - b[0])
  for (let strip = 0, done = 0; strip < strips; strip++) {
    const rows = Math.round(((strip + 1) * count) / strips) - done
    const own = byX
      .slice(Math.round((done * byX.length) / count), Math.round(((done + rows) * byX.length) / count))
      .toSorted((a, b) => a[1] - b[1])
    const column = Array.from({ length: rows }, (_, row) => {
      const piece = own.slice(
        Math.round((row * own.length) / rows),
        Math.round(((row + 1) * own.length) / rows),
      )
      return piece[Math.floor(draw() * piece.length)]
    }).filter((point) => point !== undefined)
    points.push(...(strip % 2 === 0 ? column : column.toReversed()))
    done += rows
  }
  return points
}

const within = (point: Point, net: readonly Polygon[]) =>
  net.some(
    ([outline, ...holes]) =>
      outline !== undefined && inside(point, outline) && !holes.some((hole) => inside(point, hole)),
  )

/** The ground of shapes as they lie on a plan. */
export function groundOf(
  shapes: readonly { readonly sign: 'add' | 'subtract'; readonly rings: readonly Ring[] }[],
): readonly Polygon[] {
  const rings = (sign: 'add' | 'subtract') =>
    shapes.filter((shape) => shape.sign === sign).flatMap((shape) => shape.rings)
  const combined = combineOutlines(rings('add'), rings('subtract'))
  return combined.ok ? combined.value.net : []
}
