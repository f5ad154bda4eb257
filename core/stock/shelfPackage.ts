import { isSameFigure } from '../quantity/tolerance'

/**
 * Which package stands on the shelf: the largest of which the last delivery was a whole number.
 * @param packs sizes SI; @param delivered the last delivery, SI of the same dimension
 * @returns undefined where no size goes into it
 * Source: trade.md 12; a job costs what the packages it comes out of cost.
 */
export const shelfPackage = <P extends { readonly size: number }>(
  packs: readonly P[],
  delivered: number,
): P | undefined =>
  packs
    .filter(({ size }) => {
      const count = Math.round(delivered / size)
      return count >= 1 && isSameFigure(delivered, count * size)
    })
    .toSorted((a, b) => b.size - a.size)[0]
