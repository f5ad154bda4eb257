import { blankPart } from '../../ground/blankArea'
import type { LawnPart } from '../../ground/areaShape'
import type { KeptOut } from '../../lanes/lawns/buffers'
import type { UnitSystem } from '../../quantity/systems'

/** Named so that no buffer is kept to it in turn. */
const KEPT_OUT = 'kept untreated'

/**
 * Ground that is kept out as exclusions of its lawn: sizes, amounts and the record then follow by themselves.
 * @param words of the buffer: 25 ft of water
 */
export const bufferExclusions = (
  { ground }: KeptOut,
  words: string,
  system: UnitSystem,
  newId: () => string,
): readonly LawnPart[] =>
  ground.flatMap(([ring]): LawnPart[] => {
    const part = blankPart(newId(), 'subtract', 'outline', system)
    return ring && part.outline
      ? [{ ...part, what: KEPT_OUT, outline: { ...part.outline, points: ring, origin: `buffer: ${words}` } }]
      : []
  })
