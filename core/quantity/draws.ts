/** Repeatable draws: the same seed gives the same series. Source: mulberry32, public domain. */
export function drawsFrom(seed: number): () => number {
  let state = seed >>> 0
  return () => {
    state = (state + 0x6d2b79f5) >>> 0
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state)
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296
  }
}

/** A draw of a normal spread. @param sd standard deviation; mean 0 */
export const normal = (draw: () => number, sd: number): number =>
  sd * Math.sqrt(-2 * Math.log(1 - draw())) * Math.cos(2 * Math.PI * draw())
