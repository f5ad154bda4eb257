import type { Point, Ring } from '../core/ground/plane'

/** A wobbly round outline. */
export function wobbly(x: number, y: number, radius: number, corners: number, draw: () => number): Ring {
  return Array.from({ length: corners }, (_, i): Point => {
    const r = radius * (0.9 + 0.1 * draw())
    return [x + r * Math.cos((2 * Math.PI * i) / corners), y + r * Math.sin((2 * Math.PI * i) / corners)]
  })
}
