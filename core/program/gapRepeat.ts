import { dayText } from '../calendar/dayText'
import { familyOf, groupCodes } from '../label/groupCodes'
import type { ProductKind } from '../label/productDocument'
import type { StockedProduct } from '../job/cost/jobCost'
import { showAmount } from '../quantity/systems'
import { sixDigits } from '../working/figureText'
import type { PlannedRow } from '../season/ledger'
import type { CoverageLine } from '../season/coverageLines'
import type { Intention } from './intentions'
import { triedStep, type StepQuestion } from './triedStep'

/** What would close a gap on a lawn: one product, on a day, with what it takes. */
export interface GapRepeat {
  readonly productId: string
  readonly product: string
  readonly what: string
  /** What of it the lawn takes by its label's rate, in words; blank where that waits for a calibration. */
  readonly amount: string
  /** How the amount comes about; nothing where it is blank. */
  readonly working: readonly string[]
  readonly reason: string
  /** What a rule says against it, blank for nothing. */
  readonly against: string
}

export interface LineOfProduct extends CoverageLine {
  readonly product: string
}

/** Choices are few enough to be read. */
const MOST_OFFERED = 3

/**
 * What closes a gap: products of the kind that ran out, another mode-of-action group before the same where
 * groups count, the one that was laid before others where they don't; what a rule stops comes last.
 * @param line the coverage that ended
 * Source: trade.md 10 (repeat before it ends; two of one group, then another).
 */
export function gapRepeats(line: LineOfProduct, question: StepQuestion): readonly GapRepeat[] {
  const { library, today } = question
  const before = library.products.find(({ name }) => name === line.product)
  if (!before) return []
  const { kind } = before.document
  const used = groupsOf(before, kind)
  const intention: Intention = {
    stepId: line.what,
    occurrence: 0,
    title: line.what,
    kind,
    productId: '',
    nitrogen: { text: '', unit: 'lb/1000 ft2' },
    state: 'open',
    from: today,
    to: undefined,
    reason: '',
  }
  const tried = library.products
    .filter(({ document }) => document.kind === kind)
    .map((product) => {
      const isSame = product.id === before.id
      const repeats = isSame || groupsOf(product, kind).some((group) => used.includes(group))
      const { checks, rows } = triedStep(question, product, intention)
      const [worst] = checks
      const amount = rows?.[0] && showAmount(rows[0].amount, rows[0].dimension, library.system)
      return {
        rank: Number(worst?.level === 'stop') * 4 + Number(used.length > 0 && repeats) * 2 + Number(!isSame),
        repeat: {
          productId: product.id,
          product: product.name,
          what: line.what,
          amount: amount ? `${amount.figure} ${amount.unit}` : '',
          working: amount && rows?.[0] ? amountWorking(rows[0], `${amount.figure} ${amount.unit}`) : [],
          reason: reasonOf(line, groupsOf(product, kind), used, isSame),
          against: worst?.message ?? '',
        },
      }
    })
  return tried
    .toSorted((a, b) => a.rank - b.rank)
    .slice(0, MOST_OFFERED)
    .map(({ repeat }) => repeat)
}

function amountWorking({ amount, sizeM2, dimension }: PlannedRow, told: string): readonly string[] {
  const unit = dimension === 'mass' ? 'kg' : 'm3'
  return [
    `By its label’s rate ${sixDigits(amount / sizeM2)} ${unit} on each m2`,
    `x ${sixDigits(sizeM2)} m2 = ${sixDigits(amount)} ${unit} = ${told}`,
  ]
}

function groupsOf({ document: { actives } }: StockedProduct, kind: ProductKind): readonly string[] {
  const family = familyOf(kind)
  return family ? actives.flatMap(({ group }) => groupCodes(group, family)) : []
}

function reasonOf(
  { to, product }: LineOfProduct,
  groups: readonly string[],
  used: readonly string[],
  isSame: boolean,
): string {
  const ended = to === undefined ? '' : `; ${product} lasted to ${dayText(to)}`
  if (isSame) return `the same again${used.length > 0 ? `, group ${used.join(' + ')}` : ''}${ended}`
  if (used.length === 0 || groups.length === 0) return `in its stead${ended}`
  return groups.some((group) => used.includes(group))
    ? `the same group, ${groups.join(' + ')}${ended}`
    : `another group, ${groups.join(' + ')} after ${used.join(' + ')}${ended}`
}
