import type { SiteLayout } from './siteLayout'
import type { Point } from './plane'

export interface SketchLayout {
  /** Polygons in drawing units, points as SVG takes them. */
  readonly shapes: readonly { readonly sign: 'add' | 'subtract'; readonly points: string }[]
  readonly labels: readonly { readonly text: string; readonly x: number; readonly y: number }[]
  readonly marks: readonly { readonly x: number; readonly y: number }[]
  /** Drawing units in one metre. */
  readonly scale: number
  /** The height really used; the box may be cut to it. */
  readonly height: number
}

const EDGE = 8
const LABEL = 16

/** The box a plan is drawn into, in drawing units. */
interface SketchBox {
  readonly width: number
  readonly height: number
  /** Left free around it, and below it for the names; a thumbnail has no names. */
  readonly edge?: number
  readonly label?: number
}

/** A plan scaled into a box, its names below the ground they name. */
export function sketchLayout(
  { shapes, labels, bounds }: SiteLayout,
  { width, height, edge = EDGE, label = LABEL }: SketchBox,
  marks: readonly Point[] = [],
): SketchLayout {
  if (!bounds) return { shapes: [], labels: [], marks: [], scale: 0, height: 0 }
  const [wide, high] = [bounds.maxX - bounds.minX, bounds.maxY - bounds.minY]
  const scale = Math.min((width - 2 * edge) / wide, (height - label - 2 * edge) / high)
  const left = (width - wide * scale) / 2
  const at = ([x, y]: Point): Point => [left + (x - bounds.minX) * scale, edge + (bounds.maxY - y) * scale]
  const lowest = (lawnId: string) =>
    Math.max(
      ...shapes
        .filter((shape) => shape.lawnId === lawnId)
        .flatMap(({ rings }) => rings.flat().map((point) => at(point)[1])),
    )
  return {
    shapes: shapes.flatMap(({ sign, rings }) =>
      rings.map((ring) => ({
        sign,
        points: ring
          .map((point) =>
            at(point)
              .map((one) => one.toFixed(1))
              .join(','),
          )
          .join(' '),
      })),
    ),
    labels: labels.map(({ lawnId, name, at: point }) => ({
      text: name,
      x: at(point)[0],
      y: lowest(lawnId) + label - 3,
    })),
    marks: marks.map(at).map(([x, y]) => ({ x, y })),
    scale,
    height: Math.min(height, high * scale + label + 2 * edge),
  }
}
