import { sumOf } from '../quantity/counting'
import { NUTRIENTS, type Nutrient } from '../label/label'
import { dimensionOf, type Dimension } from '../quantity/rateUnit'
import { amountFactor, areaSi, densitySi } from '../quantity/quantity'
import { hasOwnRates } from '../plan/rateGroups'
import type { RunRecord } from './foldRun'
import type { ProductOutcome, Used } from './outcome'

/** One product on one area, as the ledger keeps it: what limits and intervals are counted from. */
export interface LaidDown {
  readonly areaId: string
  readonly productId: string
  readonly dimension: Dimension
  /** Kg or m3 of product. */
  readonly amount: number
  readonly sizeM2: number
  /** Kg of each nutrient; undefined where the label holds it and does not tell (a liquid without density). */
  readonly nutrients: Readonly<Record<Nutrient, number | undefined>>
}

/**
 * What a finished run laid down, area by area: each product's used amount shared out over the areas as it was
 * planned for them. Where more or less lawn was treated than planned, every area carries its share of the
 * difference.
 * @returns empty until the outcome is known
 */
export function laidDown({ frozen, used, outcomes }: RunRecord): readonly LaidDown[] {
  if (!used) return []
  const sizes = frozen.request.areas.map(({ id, size }) => ({ id, size: areaSi(size) }))
  const planned = sumOf(sizes, ({ size }) => size)
  const treated = areaSi(used.treated)
  const onAreas = sizes.flatMap(({ id: areaId, size }) =>
    outcomes.map((outcome): LaidDown => {
      const share = size / planned
      const dimension = dimensionOf(outcome.used.unit)
      const amount =
        outcome.used.value * amountFactor(outcome.used.unit) * shareOf(areaId, outcome, frozen, share)
      return {
        areaId,
        productId: outcome.productId,
        dimension,
        amount,
        sizeM2: treated * share,
        nutrients: nutrientsIn(frozen, outcome.productId, dimension, amount),
      }
    }),
  )
  return [...onAreas, ...onStrips(frozen, used, outcomes)]
}

/** Each strip is ground of its own: of a spray every product is in it alike. Source: trade.md 8. */
const onStrips = (
  frozen: RunRecord['frozen'],
  { strips = [], putIn, made }: Used,
  outcomes: readonly ProductOutcome[],
): readonly LaidDown[] =>
  strips.flatMap(({ id: areaId, size, amount: onto }) =>
    outcomes.flatMap(({ productId, used }): LaidDown[] => {
      const put = putIn.find((one) => one.productId === productId)?.amount
      const whole = made ?? put
      if (!put || !whole) return []
      const dimension = dimensionOf(used.unit)
      const share = (onto.value * amountFactor(onto.unit)) / (whole.value * amountFactor(whole.unit))
      const amount = put.value * amountFactor(put.unit) * share
      const nutrients = nutrientsIn(frozen, productId, dimension, amount)
      return [{ areaId, productId, dimension, amount, sizeM2: areaSi(size), nutrients }]
    }),
  )

/** Kg of each nutrient in so much of a product. */
function nutrientsIn(
  { request }: RunRecord['frozen'],
  productId: string,
  dimension: Dimension,
  amount: number,
): LaidDown['nutrients'] {
  const product = request.products.find(({ id }) => id === productId)
  const density = product?.density
  const kilograms = dimension === 'mass' ? amount : density && amount * densitySi(density)
  return eachNutrient((name) => {
    const percent = product?.analysis?.[name] ?? 0
    return percent === 0 ? 0 : kilograms && (kilograms * percent) / 100
  })
}

/** What one area got of all that was used: as its rate was weighed, within a rate as planned. */
function shareOf(
  areaId: string,
  { productId, apart, used }: ProductOutcome,
  frozen: RunRecord['frozen'],
  bySize: number,
): number {
  const own = apart?.find(({ areas }) => areas.includes(areaId))
  const planned = sharePlanned(frozen, areaId, productId, bySize)
  if (!own) return planned
  const together = sumOf(own.areas, (id) => sharePlanned(frozen, id, productId, bySize))
  return (own.used.value / used.value) * (planned / together)
}

/** By planned amount, which is by size unless areas had rates of their own. */
function sharePlanned(
  { request, plan }: RunRecord['frozen'],
  areaId: string,
  productId: string,
  bySize: number,
): number {
  if (!hasOwnRates(request)) return bySize
  const total = plan.totals.products.find(({ id }) => id === productId)?.amount
  const own = plan.areas.find(({ id }) => id === areaId)?.products.find(({ id }) => id === productId)?.amount
  return own && total
    ? (own.value * amountFactor(own.unit)) / (total.value * amountFactor(total.unit))
    : bySize
}

/**
 * What has to be added to the ledger so that it says `after` where it said `before`: the ledger is never
 * rewritten. Rows that did not change are left out; sizes of a mere correction are the difference too.
 */
export function ledgerChange(before: readonly LaidDown[], after: readonly LaidDown[]): readonly LaidDown[] {
  const key = ({ areaId, productId, dimension }: LaidDown) => `${areaId} ${productId} ${dimension}`
  const stood = new Map(before.map((row) => [key(row), row]))
  const changed = after.map((row) => difference(row, stood.get(key(row))))
  const gone = before
    .filter((row) => !after.some((other) => key(other) === key(row)))
    .map((row) =>
      difference(
        { ...row, amount: 0, sizeM2: 0, nutrients: eachNutrient((name) => row.nutrients[name] && 0) },
        row,
      ),
    )
  return [...changed, ...gone].filter(({ amount, sizeM2 }) => amount !== 0 || sizeM2 !== 0)
}

const eachNutrient = (of: (name: Nutrient) => number | undefined): LaidDown['nutrients'] =>
  Object.fromEntries(NUTRIENTS.map((name) => [name, of(name)])) as LaidDown['nutrients']

function difference(row: LaidDown, stood: LaidDown | undefined): LaidDown {
  if (!stood) return row
  const nutrients = eachNutrient((name) => {
    const [now, before] = [row.nutrients[name], stood.nutrients[name]]
    return now === undefined || before === undefined ? undefined : now - before
  })
  return { ...row, amount: row.amount - stood.amount, sizeM2: row.sizeM2 - stood.sizeM2, nutrients }
}
