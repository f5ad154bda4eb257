import { areaSi, type Quantity } from '../quantity/quantity'
import type { AreaUnit } from '../quantity/units'
import { asEntered, sixDigits } from '../working/figureText'
import type { GroundPart } from './groundPart'
import { METHODS } from './methods/methods'

/**
 * One standard deviation of a size that was simply given, as a share: screens show two, so "give or take 5
 * %".
 * Source: trade.md 2, a size simply given has an unknown uncertainty, not none.
 */
const KNOWN_SIZE_ERROR = 0.025

/** A piece of ground whose size somebody gave, and how sure it is if they said; drawn as a square. */
export function knownPart(
  { id, sign }: Pick<GroundPart, 'id' | 'sign'>,
  size: Quantity<AreaUnit>,
  give?: Quantity<'%'>,
): GroundPart {
  const flat = areaSi(size)
  const side = Math.sqrt(flat)
  const share = give ? give.value / 200 : KNOWN_SIZE_ERROR
  return {
    id,
    sign,
    name: 'known size',
    unit: size.unit,
    flat,
    variance: (share * flat) ** 2,
    seat: 'schematic',
    rings: METHODS.rectangle.rings({ fixed: [side, side], angle: 0, list: [], rule: '' }),
    line: () =>
      `known size ${asEntered(size)} = ${sixDigits(flat)} m2; ` +
      (give
        ? `give or take ${asEntered(give)}, as it was told`
        : `no readings of ours, so ${200 * KNOWN_SIZE_ERROR} % is taken as give or take`),
  }
}
