import { counted } from '../quantity/counting'
import type { Figure } from '../working/figures'
import { isOver, stepsToCover } from '../quantity/tolerance'
import { betweenDimensions } from '../label/asProduct'
import type { MeasuredTool } from '../label/productShape'
import { readPositive } from '../quantity/entered'
import { formatDeviation } from '../quantity/format'
import { amountFactor, type Quantity } from '../quantity/quantity'
import { dimensionOf } from '../quantity/rateUnit'
import type { AmountUnit, DensityUnit } from '../quantity/units'
import { asEntered, sixDigits } from '../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../working/working'

/** An amount in the user's own cup. */
export interface InMeasure {
  readonly tool: string
  readonly fills: number
  readonly marks: number
  /**
   * As somebody says it: "3 cups and 4 marks"; where that would be too far off, that the scale is to be used.
   */
  readonly words: string
  readonly state: 'fits' | 'coarse'
  /** What that gives over what is wanted, less one. */
  readonly off: number
}

/** Nearer than this needs no word. */
const WORTH_SAYING = 0.01
/** Further off than this the measure is no measure (as for a measuring step). */
const COARSE = 0.03

/**
 * An amount in level fills and marks of a household measure that was weighed or measured for this product.
 * The largest measure of which it takes at least one fill; else the finest there is.
 * @param tools as on the label; one that can't be read, or holds a volume of a product without density, is
 *   passed over
 * @returns undefined where no measure is known, or the amount is under half a mark
 * Source: trade.md 5, household measures.
 * @example 41.6 g by a cup of 12 g with 4 marks: 3 cups and 2 marks, 0.96 % over
 */
export function inMeasures(
  amount: Quantity<AmountUnit>,
  tools: readonly MeasuredTool[],
  density?: Quantity<DensityUnit>,
  figure: Figure = '',
  book: WorkingBook = closedWorkingBook,
): InMeasure | undefined {
  const wanted = amount.value * amountFactor(amount.unit)
  const known = tools
    .flatMap((tool) => {
      const holds = readPositive(tool.holds, 'amount', 'One level fill')
      const conversion = holds.ok
        ? betweenDimensions(dimensionOf(holds.value.unit), dimensionOf(amount.unit), density, '')
        : undefined
      if (!holds.ok || !conversion?.ok) return []
      const divided = Number(tool.marks.trim())
      return [
        {
          name: tool.tool.trim() || 'measure',
          told: asEntered(holds.value),
          holds: holds.value.value * amountFactor(holds.value.unit) * conversion.value,
          divided: Number.isInteger(divided) && divided > 0 ? divided : 1,
        },
      ]
    })
    .toSorted((a, b) => b.holds - a.holds)
  const tool =
    known.find(({ holds }) => !isOver(holds, wanted)) ??
    known.toSorted((a, b) => a.holds / a.divided - b.holds / b.divided)[0]
  if (!tool) return undefined
  const mark = tool.holds / tool.divided
  const steps = stepsToCover(wanted / mark - 0.5)
  if (steps < 1) return undefined
  const [fills, marks] = [Math.floor(steps / tool.divided), steps % tool.divided]
  const off = (steps * mark) / wanted - 1
  const state = Math.abs(off) > COARSE ? 'coarse' : 'fits'
  const words =
    state === 'coarse'
      ? `the ${tool.name} is too coarse: use the scale`
      : wordsOf(tool.name, fills, marks, off)
  book.note(figure, () => [
    `wanted ${asEntered(amount)}`,
    `one level ${tool.name} holds ${tool.told}${tool.divided > 1 ? `, ${tool.divided} marks` : ''}`,
    `${sixDigits(wanted / tool.holds)} ${tool.name}, to the nearest ` +
      `${tool.divided > 1 ? 'mark' : 'fill'}, halves down`,
    ...(state === 'coarse' ? [`${wordsOf(tool.name, fills, marks, off)}: over 3 % off`] : []),
    `measure = ${words}`,
  ])
  return { tool: tool.name, fills, marks, words, off, state }
}

function wordsOf(tool: string, fills: number, marks: number, off: number): string {
  const parts = [
    ...(fills > 0 ? [`${fills} ${fills === 1 ? tool : plural(tool)}`] : []),
    ...(marks > 0 ? [`${counted(marks, 'mark')}${fills > 0 ? '' : ` of a ${tool}`}`] : []),
  ]
  return `${parts.join(' and ')}${Math.abs(off) > WORTH_SAYING ? `, ${formatDeviation(off)}` : ''}`
}

const plural = (word: string) => (/s$/.test(word) ? word : `${word}s`)
