import { areaSi, lengthSi } from '../quantity/quantity'
import type { GroundPart } from './netArea'

/** A shape placed in a drawing box; what is taken away lies on what was added before it. */
export type SketchShape = { readonly sign: 'add' | 'subtract' } & (
  | { readonly kind: 'polygon'; readonly points: string }
  | { readonly kind: 'ellipse'; readonly cx: number; readonly cy: number; readonly rx: number; readonly ry: number }
)

export interface SketchLayout {
  readonly shapes: readonly SketchShape[]
  readonly labels: readonly { readonly text: string; readonly x: number; readonly y: number }[]
  /** Drawing units in one metre. */
  readonly scale: number
  /** The height really used; the box may be cut to it. */
  readonly height: number
}

interface SketchLawn { readonly name: string; readonly parts: readonly GroundPart[] }
interface Extent { readonly width: number; readonly height: number }

const GAP = 14
const LABEL = 16

/**
 * Lays lawns known only by their dimensions side by side, all to one scale, to fit a box.
 * Positions and angles mean nothing; sizes do. A shape of known size alone is drawn as a square of that size.
 * @param width box width; @param height box height, in drawing units
 */
export function sketchLayout(lawns: readonly SketchLawn[], width: number, height: number): SketchLayout {
  const added = lawns.map((lawn) => lawn.parts.filter(({ sign }) => sign === 'add').map(extentOf))
  const extents = added.flat()
  if (extents.length === 0) return { shapes: [], labels: [], scale: 0, height: 0 }
  const metresWide = extents.reduce((sum, extent) => sum + extent.width, 0)
  const metresHigh = Math.max(...extents.map((extent) => extent.height))
  const scale = Math.min((width - GAP * (extents.length + 1)) / metresWide, (height - LABEL - GAP) / metresHigh)
  const shapes: SketchShape[] = []
  const labels: { text: string; x: number; y: number }[] = []
  let x = (width - metresWide * scale - GAP * (extents.length - 1)) / 2
  const used = Math.min(height, metresHigh * scale + LABEL + GAP)
  const middle = (used - LABEL) / 2
  for (const lawn of lawns) {
    const begin = x
    let home = { x, extent: { width: 0, height: 0 } as Extent }
    let taken = 0
    for (const part of lawn.parts) {
      const extent = extentOf(part)
      if (part.sign === 'add') {
        shapes.push(placed(part, extent, x + (extent.width * scale) / 2, middle, scale))
        home = { x, extent }
        x += extent.width * scale + GAP
      }
      else {
        const share = (++taken) / (lawn.parts.filter(({ sign }) => sign === 'subtract').length + 1)
        shapes.push(placed(part, extent, home.x + home.extent.width * scale * share, middle, scale))
      }
    }
    labels.push({ text: lawn.name, x: (begin + x - GAP) / 2, y: used - 3 })
  }
  return { shapes, labels, scale, height: used }
}

/** Width and height of a part as drawn, m. */
function extentOf(part: GroundPart): Extent {
  if (part.kind === 'known') {
    const side = Math.sqrt(areaSi(part.size))
    return { width: side, height: side }
  }
  const [a = 0, b = 0, c = 0] = part.lengths.map(lengthSi)
  switch (part.kind) {
    case 'rectangle': case 'ellipse': case 'triangle': return { width: a, height: b }
    case 'trapezoid': return { width: Math.max(a, b), height: c }
    case 'circle': return { width: a, height: a }
    default: return part satisfies never
  }
}

function placed(part: GroundPart, { width, height }: Extent, cx: number, cy: number, scale: number): SketchShape {
  const { sign } = part
  const [w, h] = [(width * scale) / 2, (height * scale) / 2]
  if (part.kind === 'circle' || part.kind === 'ellipse') return { sign, kind: 'ellipse', cx, cy, rx: w, ry: h }
  const points = (corners: readonly (readonly [number, number])[]) => corners.map(([x, y]) => `${x.toFixed(1)},${y.toFixed(1)}`).join(' ')
  if (part.kind === 'triangle') return { sign, kind: 'polygon', points: points([[cx - w, cy + h], [cx + w, cy + h], [cx, cy - h]]) }
  if (part.kind === 'trapezoid') {
    const [side = 0, opposite = 0] = part.lengths.map((length) => (lengthSi(length) * scale) / 2)
    return { sign, kind: 'polygon', points: points([[cx - side, cy + h], [cx + side, cy + h], [cx + opposite, cy - h], [cx - opposite, cy - h]]) }
  }
  return { sign, kind: 'polygon', points: points([[cx - w, cy - h], [cx + w, cy - h], [cx + w, cy + h], [cx - w, cy + h]]) }
}
