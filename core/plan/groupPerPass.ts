import { plural } from '../quantity/counting'
import { amountFactor } from '../quantity/quantity'
import { figureText, sixDigits } from '../working/figureText'
import type { Figure } from '../working/figures'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import type { RateGroup } from './plan'

/**
 * Kg on each m2 that one pass over a group of lawns puts down; undefined for a group without product.
 * @param figure where its working is noted
 */
export function groupPerPass(
  { products: [first], size }: RateGroup,
  passes: number,
  figure: Figure = '',
  book: WorkingBook = closedWorkingBook,
): number | undefined {
  if (!first) return undefined
  const perPass = (first.amount.value * amountFactor(first.amount.unit)) / size.value / passes
  book.note(figure, () => [
    `${figureText(first.amount)} on ${sixDigits(size.value)} m2 in ${passes} ` +
      plural(passes, 'pass', 'passes'),
    `each pass = ${sixDigits(1000 * perPass)} g/m2`,
  ])
  return perPass
}
