import { NUTRIENT_UNIT, nutrientText } from '../quantity/nutrientText'
import type { UnitSystem } from '../quantity/systems'
import { isOver, isUnder } from '../quantity/tolerance'
import { formatFigure } from '../quantity/format'
import { asEntered } from '../working/figureText'
import { amountFactor } from '../quantity/quantity'
import { NUTRIENT_NAMES, type LabelLimits } from '../label/label'
import type { Load } from './loads'
import type { NutrientsSum } from './nutrientsLaid'
import { CHECK_LEVELS, type LoadPlan, type PlanCheck, type ProductTotal } from './plan'
import type { SprayMethod } from './planRequest'
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

/** The label's limits against the unrounded rate, all passes together. */
export function limitChecks({ product, dose, limits }: ResolvedProduct): readonly PlanCheck[] {
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
export function coarseCheck(
  { product, measure }: ResolvedProduct,
  amounts: readonly { readonly exact: number; readonly measured: number }[],
): readonly PlanCheck[] {
  const worst = amounts.reduce(
    (most, { exact, measured }) => Math.max(most, Math.abs(measured - exact) / exact),
    0,
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

/** Sums: quick nitrogen over the house limit, and nutrients that cannot be known. */
export function nutrientChecks({ quickN, unknown }: NutrientsSum, units?: UnitSystem): readonly PlanCheck[] {
  const checks: PlanCheck[] = unknown.map(({ product }) => ({
    level: 'note',
    code: 'nutrients-unknown',
    productId: product.id,
    message:
      `${product.name ?? product.id} is measured by volume and its density is not given: the nutrients ` +
      'laid down are not known.',
  }))
  if (isOver(quickN, QUICK_N_LIMIT)) {
    checks.push({
      level: 'warn',
      code: 'quick-nitrogen-high',
      message:
        `${nutrientText(quickN, '', units)} of quick nitrogen in one go; the usual limit is ` +
        `${nutrientText(QUICK_N_LIMIT, '', units)}, often ${nutrientText(LOCAL_QUICK_N, '', units)} by ` +
        'local rule.',
    })
  }
  return checks
}

/** One note where any load is too small to agitate well. */
export function partLoadCheck(loads: readonly Load[], { tank, agitate }: SprayMethod): readonly PlanCheck[] {
  const unitSi = amountFactor(tank.unit)
  const limit = agitate ? agitate.value * amountFactor(agitate.unit) : tank.value * unitSi * SMALL_LOAD_SHARE
  const small = loads.findIndex((load) => isUnder(load.carrier, limit))
  const load = loads[small]
  if (!load) return []
  const source = agitate
    ? `the pump agitates from ${asEntered(agitate)}`
    : `that is under 10 % of the ${asEntered(tank)} tank`
  return [
    {
      level: 'note',
      code: 'part-load-small',
      message: `Load ${small + 1} is ${formatFigure(load.carrier / unitSi)} ${tank.unit}; ${source}.`,
    },
  ]
}

/** The pairs of exact and measured figures that the coarse check looks at. */
export function measuredPairs(
  total: ProductTotal,
  loads: readonly LoadPlan[],
  exactIn: (amount: number) => number,
) {
  const ofLoads = loads
    .flatMap(({ products }) => products.filter(({ id }) => id === total.id))
    .map(({ amount, measured }) => ({ exact: exactIn(amount.value), measured: measured.value }))
  return [...ofLoads, { exact: exactIn((total.mix ?? total.amount).value), measured: total.measured.value }]
}
