import { compassWords, degreesOf, pointNear, type CompassPoint } from '../../ground/compass'
import type { WalkedLawn } from './lanesQuestion'
import { isWater } from './buffers'

/** Where the wind carries spray and dust, in words. */
export interface Downwind {
  readonly edge: CompassPoint
  readonly words: string
  /** Open water on a lawn: drift onto it is what hurts most. */
  readonly water: readonly string[]
}

/**
 * The edge that lies downwind, and what on the lawns the wind blows onto.
 * @param from where the wind comes from, as weather has it
 * Source: trade.md 7 (wind), 4 (drift).
 */
export function downwind(lawns: readonly Pick<WalkedLawn, 'shapes'>[], from: CompassPoint): Downwind {
  const edge = pointNear(degreesOf(from) + 180)
  const taken = lawns.flatMap(({ shapes }) =>
    shapes.filter(({ sign, what }) => sign === 'subtract' && what !== '').map(({ what }) => what),
  )
  const names = [...new Set(taken)]
  const onto = names.length === 0 ? '' : `, and onto the ${compassWords(from)} side of: ${names.join(', ')}`
  return {
    edge,
    words: `Wind from the ${compassWords(from)} carries over the ${compassWords(edge)} edge${onto}.`,
    water: names.filter(isWater),
  }
}
