import { NUTRIENT_UNIT, nutrientText } from '../quantity/nutrientText'
import type { UnitSystem } from '../quantity/systems'
import { isOver, isUnder } from '../quantity/tolerance'
import { formatFigure } from '../quantity/format'
import { asEntered } from '../working/figureText'
import { amountFactor } from '../quantity/quantity'
import { NUTRIENT_NAMES, type LabelLimits } from '../label/label'
import type { Load } from './loads'
import type { NutrientsSum } from './nutrientsLaid'
import { CHECK_LEVELS, type PlanCheck } from './plan'
import type { GroupProduct, PlannedGroup } from './planGroup'
import { calledAreas, type PlanQuestion } from './planQuestion'
import { isByRates } from './rateGroups'
import type { ResolvedProduct } from './resolveProducts'

/** Most quick-release nitrogen in one go, kg on each m2: one unit (trade.md 6, house default). */
export const QUICK_N_LIMIT = NUTRIENT_UNIT
/** What local rules often allow of it. */
const LOCAL_QUICK_N = 0.7 * NUTRIENT_UNIT
/**
 * A measured amount further than this from the exact one is worth a word (trade.md 6: 0.4 g over on 9 g is 4
 * %).
 */
export const COARSE_SHARE = 0.03
/** Without a stated minimum, a part load under this share of the tank is called small. */
export const SMALL_LOAD_SHARE = 0.1

/** Stop, then warn, then note; within one level in product order, sums last. */
export function sortChecks<C extends { readonly level: PlanCheck['level']; readonly productId?: string }>(
  checks: readonly C[],
  productIds: readonly string[],
): readonly C[] {
  const place = ({ productId }: C) =>
    productId === undefined ? productIds.length : productIds.indexOf(productId)
  return checks.toSorted(
    (a, b) => CHECK_LEVELS.indexOf(a.level) - CHECK_LEVELS.indexOf(b.level) || place(a) - place(b),
  )
}

/** What stands against a plan; where areas are planned apart each check says where it holds. */
export function checksOf(groups: readonly PlannedGroup[], question: PlanQuestion): readonly PlanCheck[] {
  const [first] = groups
  let before = 0
  const told = groups.flatMap((group) => {
    const { products, nutrients, loads } = group
    const checks = [
      ...products.flatMap(({ resolved }) => limitChecks(resolved)),
      ...products.flatMap(coarseCheck),
      ...quickNitrogenCheck(nutrients, question.units),
      ...partLoadCheck(loads, before, question),
    ]
    before += loads.length
    if (!isByRates(question)) return checks
    const where = calledAreas(group.areas)
    return checks.map((check) => ({ ...check, message: `${where}: ${check.message}` }))
  })
  return sortChecks(
    // A density that is missing is missing everywhere.
    [...(first?.nutrients.unknown ?? []).map(unknownNutrients), ...told],
    question.products.map(({ id }) => id),
  )
}

/** The label's limits against the unrounded rate, all passes together. */
function limitChecks({ product, dose, limits }: ResolvedProduct): readonly PlanCheck[] {
  const name = product.name ?? product.id
  const basis =
    product.basis && product.basis !== 'product'
      ? ` of ${product.basis === 'active' ? 'active' : NUTRIENT_NAMES[product.basis]}`
      : ''
  const gives = `${name} at ${asEntered(product.rate)}${basis}`
  const limitText = (limit: keyof LabelLimits) => {
    const entered = product.limits?.[limit]
    return entered ? asEntered(entered) : ''
  }
  const checks: PlanCheck[] = []
  if (limits.maxPerApplication !== undefined && isOver(dose.perArea, limits.maxPerApplication)) {
    checks.push({
      level: 'stop',
      code: 'above-max-per-application',
      productId: product.id,
      message: `${gives} is over the label's most for one application, ${limitText('maxPerApplication')}.`,
    })
  }
  if (limits.high !== undefined && isOver(dose.perArea, limits.high)) {
    checks.push({
      level: 'stop',
      code: 'rate-above-label',
      productId: product.id,
      message: `${gives} is over the label's highest rate, ${limitText('high')}.`,
    })
  }
  if (limits.low !== undefined && isUnder(dose.perArea, limits.low)) {
    checks.push({
      level: 'warn',
      code: 'rate-below-label',
      productId: product.id,
      message: `${gives} is under the label's lowest rate, ${limitText('low')}: it may not work.`,
    })
  }
  return checks
}

/** The worst of the loads and the total, where the measuring step is too coarse for the amount. */
function coarseCheck({ resolved, mix, measured, loads }: GroupProduct): readonly PlanCheck[] {
  const { product, measure } = resolved
  const worst = Math.max(
    ...[...loads, { amount: mix, measured }].map((one) => {
      const exact = one.amount / measure.siPerUnit
      return Math.abs(one.measured - exact) / exact
    }),
  )
  if (measure.step === undefined || !isOver(worst, COARSE_SHARE)) return []
  return [
    {
      level: 'warn',
      code: 'measure-step-coarse',
      productId: product.id,
      message:
        `${product.name ?? product.id}: a step of ${measure.step} ${measure.unit} misses the amount by ` +
        `${formatFigure(worst * 100)} %; ` +
        `over 3 % asks for a finer scale or cup, or fewer and larger loads.`,
    },
  ]
}

/** Quick nitrogen over the house limit. */
function quickNitrogenCheck({ quickN }: NutrientsSum, units?: UnitSystem): readonly PlanCheck[] {
  if (!isOver(quickN, QUICK_N_LIMIT)) return []
  return [
    {
      level: 'warn',
      code: 'quick-nitrogen-high',
      message:
        `${nutrientText(quickN, '', units)} of quick nitrogen in one go; the usual limit is ` +
        `${nutrientText(QUICK_N_LIMIT, '', units)}, often ${nutrientText(LOCAL_QUICK_N, '', units)} by ` +
        'local rule.',
    },
  ]
}

const unknownNutrients = ({ product }: ResolvedProduct): PlanCheck => ({
  level: 'note',
  code: 'nutrients-unknown',
  productId: product.id,
  message:
    `${product.name ?? product.id} is measured by volume and its density is not given: the nutrients ` +
    'applied are not known.',
})

/** One note where any load is too small to agitate well. */
function partLoadCheck(
  loads: readonly Load[],
  before: number,
  { method, water }: PlanQuestion,
): readonly PlanCheck[] {
  if (method.kind !== 'spray' || !water) return []
  const limit = water.agitate ?? water.tank * SMALL_LOAD_SHARE
  const small = loads.findIndex((load) => isUnder(load.carrier, limit))
  const load = loads[small]
  if (!load) return []
  const { tank, agitate } = method
  const source = agitate
    ? `the pump agitates from ${asEntered(agitate)}`
    : `that is under 10 % of the ${asEntered(tank)} tank`
  return [
    {
      level: 'note',
      code: 'part-load-small',
      message:
        `Load ${before + small + 1} is ${formatFigure(load.carrier / amountFactor(tank.unit))} ` +
        `${tank.unit}; ${source}.`,
    },
  ]
}
