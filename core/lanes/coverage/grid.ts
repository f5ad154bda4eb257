import type { Polygon } from '../../ground/clipping'
import { boundsOf, type Point } from '../../ground/plane'

/** Cells over a lawn and as far around it as anything is thrown; amounts are those in each cell. */
export interface Grid {
  /** Side of a cell, m. */
  readonly cell: number
  readonly columns: number
  readonly rows: number
  /** The south-west corner. */
  readonly origin: Point
  readonly amounts: Float64Array
  /** 1 where the middle of a cell lies on the lawn. */
  readonly lawn: Uint8Array
}

/** More cells than this would take too much memory: the grid is made coarser, and says so. */
const MOST_CELLS = 8_000_000
const NOWHERE = { minX: 0, minY: 0, maxX: 0, maxY: 0 }

/**
 * An empty grid over ground and the lanes on it.
 * @param lines where somebody walks
 * @param cell as it is wanted, m @param margin how far beyond either something lands, m
 */
export function gridOver(
  ground: readonly Polygon[],
  lines: readonly (readonly Point[])[],
  cell: number,
  margin: number,
): Grid {
  const corners = [...ground.flatMap(([outline = []]) => outline), ...lines.flat()]
  const { minX, minY, maxX, maxY } = boundsOf(corners) ?? NOWHERE
  const [wide, high] = [maxX - minX + 2 * margin, maxY - minY + 2 * margin]
  const used = Math.max(cell, Math.sqrt((wide * high) / MOST_CELLS))
  // Two cells more on each side: an amount is shared by the cells around it.
  const [columns, rows] = [Math.ceil(wide / used) + 4, Math.ceil(high / used) + 4]
  const origin: Point = [minX - margin - 2 * used, minY - margin - 2 * used]
  const grid = {
    cell: used,
    columns,
    rows,
    origin,
    amounts: new Float64Array(columns * rows),
    lawn: new Uint8Array(columns * rows),
  }
  markCells(grid, ground.flat(), grid.lawn, 1)
  return grid
}

/** Marks the cells whose middle lies within rings, holes left out, row by row. */
export function markCells(
  { cell, columns, rows, origin: [ox, oy] }: Pick<Grid, 'cell' | 'columns' | 'rows' | 'origin'>,
  rings: Polygon,
  cells: Uint8Array,
  mark: number,
): void {
  const crossings: number[][] = Array.from({ length: rows }, () => [])
  for (const ring of rings)
    for (let i = 0; i < ring.length; i++) {
      const [ax, ay] = ring[i]!
      const [bx, by] = ring[(i + 1) % ring.length]!
      if (ay === by) continue
      const [low, high] = ay < by ? [ay, by] : [by, ay]
      const first = Math.max(0, Math.ceil((low - oy) / cell - 0.5))
      for (let row = first; row < rows; row++) {
        const y = oy + (row + 0.5) * cell
        if (y >= high) break
        crossings[row]!.push(ax + ((y - ay) * (bx - ax)) / (by - ay))
      }
    }
  for (const [row, crossed] of crossings.entries()) {
    crossed.sort((a, b) => a - b)
    for (let i = 0; i + 1 < crossed.length; i += 2) {
      const from = Math.max(0, Math.ceil((crossed[i]! - ox) / cell - 0.5))
      const to = Math.min(columns, Math.ceil((crossed[i + 1]! - ox) / cell - 0.5))
      if (to > from) cells.fill(mark, row * columns + from, row * columns + to)
    }
  }
}
