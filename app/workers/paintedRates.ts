import { turned, type Bounds, type Point } from '#core/ground/plane'
import type { Grid } from '#core/lanes/coverage/grid'

/** How rates are coloured, from nothing to twice the target, and how the plan is turned on screen. */
export interface RatePaint {
  /** Red, green, blue; the same step of the target each. */
  readonly steps: readonly (readonly [number, number, number])[]
  readonly bearing: number
}

/** A picture of rates and where its corners lie on the map, which shows the plan turned. */
export interface PaintedRates {
  readonly blob: Blob
  readonly bounds: Bounds
}

/** Longer pictures are more than a screen can show. */
const MOST_PIXELS = 1600
/** What lands off the lawn is grey, the darker the more. */
const GREY = 70

/** Rates as a PNG in the map's own axes, nearest cell by nearest cell. */
export async function paintedRates(
  grid: Grid,
  target: number,
  { steps, bearing }: RatePaint,
): Promise<PaintedRates> {
  const { cell, columns, rows, origin, amounts, lawn } = grid
  const corners: readonly Point[] = [
    origin,
    [origin[0] + columns * cell, origin[1]],
    [origin[0] + columns * cell, origin[1] + rows * cell],
    [origin[0], origin[1] + rows * cell],
  ]
  const seen = corners.map((corner) => turned(corner, [0, 0], bearing))
  const bounds = {
    minX: Math.min(...seen.map(([x]) => x)),
    minY: Math.min(...seen.map(([, y]) => y)),
    maxX: Math.max(...seen.map(([x]) => x)),
    maxY: Math.max(...seen.map(([, y]) => y)),
  }
  const pixel = Math.max(
    cell,
    (bounds.maxX - bounds.minX) / MOST_PIXELS,
    (bounds.maxY - bounds.minY) / MOST_PIXELS,
  )
  const [wide, high] = [
    Math.max(1, Math.round((bounds.maxX - bounds.minX) / pixel)),
    Math.max(1, Math.round((bounds.maxY - bounds.minY) / pixel)),
  ]
  const image = new ImageData(wide, high)
  const meant = target * cell * cell
  for (let py = 0; py < high; py++)
    for (let px = 0; px < wide; px++) {
      const [x, y] = turned(
        [bounds.minX + (px + 0.5) * pixel, bounds.maxY - (py + 0.5) * pixel],
        [0, 0],
        -bearing,
      )
      const [column, row] = [Math.floor((x - origin[0]) / cell), Math.floor((y - origin[1]) / cell)]
      if (column < 0 || row < 0 || column >= columns || row >= rows) continue
      const at = row * columns + column
      const share = amounts[at]! / meant
      const place = 4 * (py * wide + px)
      if (lawn[at] !== 1) {
        image.data.set([GREY, GREY, GREY, Math.min(200, Math.round(200 * share))], place)
        continue
      }
      const step = Math.min(steps.length - 1, Math.floor((share * steps.length) / 2))
      const [red, green, blue] = steps[step]!
      image.data.set([red, green, blue, 255], place)
    }
  const canvas = new OffscreenCanvas(wide, high)
  canvas.getContext('2d')?.putImageData(image, 0, 0)
  return { blob: await canvas.convertToBlob({ type: 'image/png' }), bounds }
}
