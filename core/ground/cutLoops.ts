import { firstCrossings, type Crossing } from './crossings'
import { distance, type Ring } from './plane'

/**
 * Loops a walker's wobble makes, where the way closes or turns, are shorter round than this, m (house
 * default); a longer one is a mistake to be seen.
 */
const LONGEST_LOOP_M = 30
/** Cutting one loop may lay bare another; a track that still crosses after so many rounds is told as such. */
const MOST_ROUNDS = 8
const MOST_A_ROUND = 2000

/**
 * An outline without the small loops in which it crosses itself: each is cut off where it crosses. Larger
 * ones stay, to be told.
 */
export function withoutSmallLoops(ring: Ring): { readonly ring: Ring; readonly cut: number } {
  let [now, cut] = [ring, 0]
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const loops = smallLoops(now, firstCrossings(now, MOST_A_ROUND))
    const next = without(now, loops)
    if (loops.length === 0 || next.length < 3) break
    now = next
    cut += loops.length
  }
  return { ring: now, cut }
}

/**
 * A loop's corners: those after `from` up to `to`; when `from` is the later one it runs over the end of the
 * list.
 */
interface Loop {
  readonly from: number
  readonly to: number
  readonly at: Crossing['at']
}

/** The short loops among the crossings, none inside or across another. */
function smallLoops(ring: Ring, crossed: readonly Crossing[]): readonly Loop[] {
  const along = [0]
  for (let i = 0; i < ring.length; i++)
    along.push(along[i]! + distance(ring[i]!, ring[(i + 1) % ring.length]!))
  const round = along[ring.length]!
  const loops = crossed
    .flatMap(({ at, sides: [from, to] }): (Loop & { length: number })[] => {
      const inner = distance(at, ring[from + 1]!) + along[to]! - along[from + 1]! + distance(ring[to]!, at)
      const loop =
        inner <= round - inner
          ? { from, to, at, length: inner }
          : { from: to, to: from, at, length: round - inner }
      return loop.length <= LONGEST_LOOP_M ? [loop] : []
    })
    .toSorted((one, other) => one.length - other.length)
  const taken = new Uint8Array(ring.length)
  return loops.filter(({ from, to }) => {
    const corners = cornersOf({ from, to }, ring.length)
    if (corners.some((corner) => taken[corner] === 1)) return false
    for (const corner of corners) taken[corner] = 1
    return true
  })
}

function cornersOf({ from, to }: Pick<Loop, 'from' | 'to'>, count: number): readonly number[] {
  const length = (to - from + count) % count
  return Array.from({ length }, (_, i) => (from + 1 + i) % count)
}

/** The ring with each loop's corners replaced by the place where it crosses. */
function without(ring: Ring, loops: readonly Loop[]): Ring {
  const instead = new Map<number, Crossing['at'] | undefined>()
  for (const loop of loops)
    cornersOf(loop, ring.length).forEach((corner, i) => instead.set(corner, i === 0 ? loop.at : undefined))
  return ring.flatMap((point, i) => {
    if (!instead.has(i)) return [point]
    const at = instead.get(i)
    return at ? [at] : []
  })
}
