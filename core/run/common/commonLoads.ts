import { carrierOf } from '../../plan/carrierOf'
import { measuredAmount } from '../../plan/measuredAmount'
import type { LoadPlan } from '../../plan/plan'
import { sumOf } from '../../quantity/counting'
import { amountFactor, type Quantity } from '../../quantity/quantity'
import { isSameFigure, ROUNDING, SETTING_TOLERANCE } from '../../quantity/tolerance'
import type { VolumeUnit } from '../../quantity/units'
import { figureText, sixDigits } from '../../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../../working/working'
import { mostOfLabel } from '../corrections/mostOfLabel'
import type { FrozenPlan } from '../runEvent'

/** A load as it is mixed, and the ground of this site it is for: the rest of it drives on. */
interface CommonLoad {
  readonly load: LoadPlan
  readonly here: Quantity<'m2'>
}

/** What one site of a common mix does with the tank as it was found. */
export interface CommonLoads {
  readonly found: Quantity<VolumeUnit>
  /** What came along, sprayed first, as a load of its own; undefined where the tank was empty. */
  readonly carried: CommonLoad | undefined
  /** Loads to mix here, at the strength of the day. */
  readonly mixed: readonly CommonLoad[]
  /** `stretched`: a little less than its lawns take is laid on all of them, and nothing is mixed for it. */
  readonly answer: 'as planned' | 'stretched' | 'put right'
  /** What leaves again. */
  readonly leaves: Quantity<VolumeUnit>
}

/** What was carried here is load 0: it was mixed elsewhere. */
export const CARRIED = 0

/**
 * The loads of one site of a common mix, for the spray that was really found in the tank. Where a load is
 * made here it makes up for what is missing, or is too much, so that what was planned drives on; where none
 * is, one is made only if its own lawns would run shorter than a rate may be off. The strength never changes:
 * the sites behind it count on it.
 * @param found undefined: as planned
 * @param book gets the page `run.tank`
 * @returns volumes in the unit of the mix; undefined for what shares no tank
 * Source: trade.md 1 (one tank mix may serve several sites, the rest is carried on) and 8.
 * @example 6.5 gal planned, 5.5 found, 13 taken: 7.5 gal are mixed instead of 6.5
 */
export function commonLoads(
  { common, request, plan, labels }: Pick<FrozenPlan, 'common' | 'request' | 'plan' | 'labels'>,
  found: Quantity<VolumeUnit> | undefined,
  book: WorkingBook = closedWorkingBook,
): CommonLoads | undefined {
  if (!common) return undefined
  const { arrives, takes, leaves, makes, whole, holds, to } = common
  const { size } = plan.totals
  const { method } = request
  const { unit } = whole
  const inMix = (quantity: Quantity<VolumeUnit>) =>
    (quantity.value * amountFactor(quantity.unit)) / amountFactor(unit)
  const there = inMix(found ?? arrives)
  const missing = takes.value + (to ? 0 : leaves.value) - there
  const planned = sumOf(makes, ({ carrier }) => carrier.value)
  const isEnough = missing <= ROUNDING * whole.value
  const stretched = !isEnough && makes.length === 0 && missing <= SETTING_TOLERANCE * takes.value
  const fresh = isEnough || stretched ? 0 : makes.length > 0 ? takes.value + leaves.value - there : missing
  const asPlanned = isSameFigure(fresh, planned)
  const tank = method.kind === 'spray' ? inMix(method.tank) : Infinity
  const loads = asPlanned ? makes : portions(fresh, tank, makes).map(loadOf)
  let open = takes.value
  const hereOf = (spray: number): Quantity<'m2'> => {
    const used = Math.min(open, spray)
    open -= used
    return { value: takes.value > 0 ? (size.value * used) / takes.value : 0, unit: size.unit }
  }
  const carried =
    there > ROUNDING * whole.value
      ? { load: sprayOf(there, CARRIED), here: stretched ? size : hereOf(there) }
      : undefined
  const mixed = loads.map((load) => ({ load, here: hereOf(load.carrier.value) }))
  const sprayed = stretched ? there - (to ? 0 : leaves.value) : takes.value
  const rest = Math.max(0, there + fresh - sprayed)
  book.note('run.tank', () => [
    `in the tank on arrival ${sixDigits(there)} ${unit}, planned ${sixDigits(arrives.value)}`,
    `its lawns take ${sixDigits(takes.value)} ${unit}`,
    ...loads.flatMap(({ number, carrier, products }) => [
      `load ${number} is mixed here: ${sixDigits(carrier.value)} ${unit}`,
      ...products.map(productLine),
    ]),
    `${to ? 'drives on' : 'stays'} = ${sixDigits(there)} + ${sixDigits(fresh)} - ` +
      `${sixDigits(sprayed)} = ${sixDigits(rest)} ${unit}`,
    ...(stretched
      ? [`all of it gets ${sixDigits((100 * sprayed) / takes.value)} % of what was planned`]
      : []),
  ])
  return {
    found: { value: there, unit },
    carried,
    mixed,
    answer: stretched ? 'stretched' : asPlanned ? 'as planned' : 'put right',
    leaves: { value: rest, unit },
  }

  function productLine({ id, measured }: LoadPlan['products'][number]): string {
    const name = labels.find(({ productId }) => productId === id)?.name ?? id
    const held = holds.find(({ productId }) => productId === id)?.amount
    return (
      `${name}: ${held ? `${figureText(held)} in ${figureText(whole)} of the day, ` : ''}` +
      `here ${figureText(measured)}`
    )
  }
  /** Spray of the day's strength. */
  function sprayOf(spray: number, number: number): LoadPlan {
    return {
      number,
      size: { value: takes.value > 0 ? (size.value * spray) / takes.value : 0, unit: size.unit },
      carrier: { value: spray, unit },
      products: holds.map(({ productId, amount }) => {
        const held = { value: (amount.value * spray) / whole.value, unit: amount.unit }
        return { id: productId, amount: held, measured: held }
      }),
    }
  }
  /** The same, to be measured out in the steps of its tools. */
  function loadOf(spray: number, index: number): LoadPlan {
    const number = makes[index]?.number ?? (makes.at(-1)?.number ?? 0) + index + 1 - makes.length
    const exact = sprayOf(spray, number)
    return {
      ...exact,
      products: exact.products.map(({ id, amount }) => {
        const product = request.products.find((one) => one.id === id)
        const step = product?.measureStep
        if (!step) return { id, amount, measured: amount }
        const most = amount.value * (mostOfLabel(product, carrierOf(method)) ?? Infinity)
        return {
          id,
          amount,
          measured: { value: measuredAmount(amount.value, step.value, most), unit: amount.unit },
        }
      }),
    }
  }
}

/** Splits what is to be mixed by the loads of the plan: full ones first, the last takes the difference. */
function portions(fresh: number, tank: number, makes: readonly LoadPlan[]): readonly number[] {
  const volumes: number[] = []
  for (let rest = fresh; rest > ROUNDING * tank; rest -= volumes.at(-1) ?? rest) {
    const next = makes[volumes.length]
    const most = next && volumes.length < makes.length - 1 ? Math.min(tank, next.carrier.value) : tank
    volumes.push(Math.min(rest, most))
  }
  return volumes
}
