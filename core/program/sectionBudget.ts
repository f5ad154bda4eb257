import type { AreaDocument } from '../ground/areaShape'
import { pricedPackage } from '../job/cost/pricedPackage'
import type { StockedProduct } from '../job/cost/jobCost'
import { sumOf } from '../quantity/counting'
import { readDensity } from '../label/read/readDensity'
import { isOver } from '../quantity/tolerance'
import type { LedgerRow, PlannedRow } from '../season/ledger'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import type { ProgramRow } from './programOutlook'

/** One section of a site with what its year costs; rows of its program, of jobs, and of what lies there. */
export interface SectionYear {
  readonly areaId: string
  readonly area: string
  readonly priority: AreaDocument['priority']
  readonly laid: readonly LedgerRow[]
  readonly planned: readonly PlannedRow[]
  readonly steps: readonly ProgramRow[]
}

/** A step that the money does not reach. */
interface StepBeyond extends Pick<ProgramRow, 'stepId' | 'occurrence' | 'title' | 'on'> {
  readonly cost: number
}

export interface SectionShare extends Pick<SectionYear, 'areaId' | 'area' | 'priority'> {
  /** Product that lies there or is in jobs, and what its program still asks for; in the crew's currency. */
  readonly spent: number
  readonly ahead: number
  /** Its steps that the budget does not reach, in order. */
  readonly beyond: readonly StepBeyond[]
}

/** The product of a year on one site against its budget, section by section. */
export interface SectionBudget {
  readonly budget: number
  readonly whole: number
  /** What has no price is in no sum: products by name. */
  readonly unpriced: readonly string[]
  /** `unknown`: within by what is known, but not everything has a price. */
  readonly state: 'within' | 'over' | 'unknown'
  /** What comes first goes first: by priority, then by name. */
  readonly sections: readonly SectionShare[]
}

const RANK: Readonly<Record<SectionYear['priority'], number>> = { high: 0, normal: 1, low: 2 }

/**
 * What of a site's programs its budget for product reaches: money goes to the section that comes first until
 * it is spent, a later one gets what is left.
 * @param budget of a year, in the crew's currency @param book gets the page `budget.id` of the site
 * Source: trade.md 2 (thin budgets treat a big property in sections) and 12 (price).
 */
export function sectionBudget(
  siteId: string,
  budget: number,
  years: readonly SectionYear[],
  products: readonly StockedProduct[],
  book: WorkingBook = closedWorkingBook,
): SectionBudget {
  const unpriced = new Set<string>()
  const costOf = (row: LedgerRow): number => {
    const cost = rowCost(row, products)
    if (cost === undefined) unpriced.add(row.product)
    return cost ?? 0
  }
  const ordered = years.toSorted(
    (a, b) => RANK[a.priority] - RANK[b.priority] || a.area.localeCompare(b.area),
  )
  const costs = ordered.map(({ laid, planned, steps, ...section }) => ({
    section,
    spent: sumOf([...laid, ...planned], costOf),
    steps: stepsOf(steps, costOf),
  }))
  const spent = sumOf(costs, (one) => one.spent)
  let left = budget - spent
  let out = false
  const sections = costs.map(({ section: { areaId, area, priority }, spent: there, steps }) => {
    const beyond = steps.filter(({ cost }) => {
      if (cost === 0) return false
      out ||= isOver(cost, left)
      if (!out) left -= cost
      return out
    })
    return { areaId, area, priority, spent: there, ahead: sumOf(steps, ({ cost }) => cost), beyond }
  })
  const whole = spent + sumOf(sections, ({ ahead }) => ahead)
  const told = (figure: number) => figure.toFixed(2)
  book.note(`budget.${siteId}`, () => [
    ...sections.map(
      ({ area, priority, spent: there, ahead }) =>
        `${area} (${priority}): ${told(there)} laid or in jobs, ${told(ahead)} to come by its program`,
    ),
    `Together ${told(whole)} of ${told(budget)}`,
    ...(unpriced.size > 0 ? [`No price known, not counted: ${[...unpriced].join(', ')}`] : []),
  ])
  return {
    budget,
    whole,
    unpriced: [...unpriced],
    state: isOver(whole, budget) ? 'over' : unpriced.size > 0 ? 'unknown' : 'within',
    sections,
  }
}

/** A step lays several products or one; it is reached as a whole or not at all. */
function stepsOf(rows: readonly ProgramRow[], costOf: (row: LedgerRow) => number): readonly StepBeyond[] {
  const steps = new Map<string, StepBeyond>()
  for (const row of rows) {
    const { stepId, occurrence, title, on } = row
    const key = `${stepId} ${occurrence}`
    const before = steps.get(key)
    steps.set(key, { stepId, occurrence, title, on, cost: (before?.cost ?? 0) + costOf(row) })
  }
  return [...steps.values()].toSorted((a, b) => (a.on < b.on ? -1 : 1))
}

/** Undefined where no package has a price and a size that counts. */
function rowCost(
  { sourceId, dimension, amount }: LedgerRow,
  products: readonly StockedProduct[],
): number | undefined {
  if (amount === 0) return 0
  const product = products.find(({ id }) => id === sourceId)
  if (!product) return undefined
  const priced = pricedPackage(product, dimension, readDensity(product.document.density))
  return priced && (priced.price / priced.size) * amount
}
