import { crossings } from './crossings'
import { perimeter, type Ring } from './plane'

/** Loops a walker's wobble makes, where the way closes or turns, are shorter round than this, m (house default); a longer one is a mistake to be seen. */
const LONGEST_LOOP_M = 30
const MOST_ROUNDS = 40

/** An outline without the small loops in which it crosses itself: each is cut off where it crosses. Larger ones stay, to be told. */
export function withoutSmallLoops(ring: Ring): { readonly ring: Ring; readonly cut: number } {
  let [now, cut] = [ring, 0]
  for (let round = 0; round < MOST_ROUNDS; round++) {
    const shorter = crossings(now).map(({ at, sides: [from, to] }) => {
      const inner: Ring = [at, ...now.slice(from + 1, to + 1)]
      const outer: Ring = [...now.slice(0, from + 1), at, ...now.slice(to + 1)]
      return perimeter(inner) <= perimeter(outer) ? { loop: inner, rest: outer } : { loop: outer, rest: inner }
    }).find(({ loop, rest }) => perimeter(loop) <= LONGEST_LOOP_M && rest.length >= 3)
    if (!shorter) break
    now = shorter.rest
    cut++
  }
  return { ring: now, cut }
}
