import type { Bounds, Ring } from './plane'
import type { SweptRings } from './ringMeetings'

export interface Member {
  readonly ring: Ring
  /** Its place in the list it came from. */
  readonly index: number
  readonly bounds: Bounds
}

/** Rings that meet, touch or lie in one another, directly or by way of others. */
export interface Group {
  readonly members: readonly Member[]
}

/**
 * Rings, m, in groups that have nothing to do with each other: each can be joined by itself. A ring without
 * corners is in none.
 * @param first the place of the first of them among the rings that were swept
 */
export function ringGroups(
  rings: readonly Ring[],
  { boxes, near }: SweptRings,
  first: number,
): readonly Group[] {
  const leaders = rings.map((_, i) => i)
  const leaderOf = (index: number): number => {
    let at = index
    while (leaders[at] !== at) at = leaders[at]!
    leaders[index] = at
    return at
  }
  const isOurs = (ring: number) => ring >= first && ring < first + rings.length
  for (const [one, other] of near)
    if (isOurs(one) && isOurs(other)) leaders[leaderOf(one - first)] = leaderOf(other - first)
  const groups = new Map<number, Member[]>()
  for (const [index, ring] of rings.entries()) {
    if (ring.length === 0) continue
    const member = { ring, index, bounds: boxes[first + index]! }
    const group = groups.get(leaderOf(index))
    if (group) group.push(member)
    else groups.set(leaderOf(index), [member])
  }
  return [...groups.values()].map((members) => ({ members }))
}
