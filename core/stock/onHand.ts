import type { ProductDocument } from '../label/productShape'
import { readNotNegative } from '../quantity/entered'
import { amountFactor } from '../quantity/quantity'
import { dimensionOf, type Dimension } from '../quantity/rateUnit'

export const MOVEMENT_KINDS = ['received', 'used', 'counted', 'disposed'] as const
/** What moved the stock: a delivery, a job, a count that found more or less, a disposal. */
export type MovementKind = (typeof MOVEMENT_KINDS)[number]

/** Signed: what comes in adds, what goes out takes away. Kg or m3. */
export interface Movement {
  readonly kind: MovementKind
  readonly dimension: Dimension
  readonly amount: number
}

/** What is on hand, told in mass and in volume apart: one is not turned into the other by guess. */
export interface OnHand {
  readonly dimension: Dimension
  readonly amount: number
  /** What the last delivery brought; absent where none came. */
  readonly delivered?: number
}

/**
 * Stock on hand from its movements. Below nought is told as it is: more was used than was ever received, so a
 * delivery or a count is missing.
 * @param movements the newest first
 * @returns one figure for each dimension in which anything moved
 */
export function onHand(movements: readonly Movement[]): readonly OnHand[] {
  const sums = new Map<Dimension, number>()
  for (const { dimension, amount } of movements) sums.set(dimension, (sums.get(dimension) ?? 0) + amount)
  return [...sums].map(([dimension, amount]) => {
    const last = movements.find((one) => one.kind === 'received' && one.dimension === dimension)
    return { dimension, amount, ...(last && { delivered: last.amount }) }
  })
}

/**
 * Whether stock is to be bought: at or under the level, or below nought.
 * @param level kg or m3 of the same dimension
 */
export const isLow = ({ amount }: OnHand, level: number | undefined): boolean =>
  amount < 0 || (level !== undefined && amount <= level)

/** What of a product is to be bought, by the level its label's page names. */
export function lowOf(
  { reorderAt }: Pick<ProductDocument, 'reorderAt'>,
  there: readonly OnHand[],
): readonly OnHand[] {
  const read = readNotNegative(reorderAt, 'amount', 'Reorder at')
  const level = read.ok
    ? { dimension: dimensionOf(read.value.unit), amount: read.value.value * amountFactor(read.value.unit) }
    : undefined
  return there.filter((one) => isLow(one, level?.dimension === one.dimension ? level.amount : undefined))
}

/** The signed amount of a movement as it is typed: a count gives the difference to what was there. */
export function signedAmount(kind: MovementKind, typed: number, before: number): number {
  switch (kind) {
    case 'received':
      return typed
    case 'counted':
      return typed - before
    case 'used':
    case 'disposed':
      return -typed
    default:
      return kind satisfies never
  }
}
