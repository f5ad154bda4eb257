import type { Plan, RateGroup } from '../plan/plan'
import type { PlanRequest } from '../plan/planRequest'
import { sumOf } from '../quantity/counting'
import { amountFactor, type Quantity } from '../quantity/quantity'
import type { AmountUnit } from '../quantity/units'

/** The spray of the loads that are for the lawns of one rate; undefined where there are none. */
export function sprayForRate(
  { loads }: Pick<Plan, 'loads'>,
  { areas: own }: Pick<RateGroup, 'areas'>,
): Quantity<AmountUnit> | undefined {
  const mixed = loadsFor(loads, own)
  const [first] = mixed
  return first && { value: sumOf(mixed, ({ carrier }) => carrier.value), unit: first.carrier.unit }
}

const loadsFor = (loads: Plan['loads'], own: readonly string[]): Plan['loads'] =>
  loads.filter(({ areas = [] }) => areas.some((id) => own.includes(id)))

/** All loads together, and what each rate's lawns but the last got: product of dry work, spray of wet. */
interface PutIn {
  readonly putIn: readonly { readonly productId: string; readonly amount: Quantity<AmountUnit> }[]
  readonly apart?: readonly Quantity<AmountUnit>[]
}

const inSi = ({ value, unit }: Quantity<AmountUnit>): number => value * amountFactor(unit)

/**
 * What of one product went onto the lawns of each rate but the last. Dry: as it was weighed. Wet: the spray
 * that went there, at the strength its own loads were mixed at, all loads together holding what was really
 * put in.
 * @returns empty where nothing was measured apart
 * Source: trade.md 9, actual rate per area.
 * @example 8 gal of a load of 10 gal that held 20 fl oz: 16 fl oz
 */
export function onEachRate(
  { method }: Pick<PlanRequest, 'method'>,
  { loads, rates = [] }: Plan,
  { apart = [], putIn }: PutIn,
  productId: string,
): readonly Quantity<AmountUnit>[] {
  if (method.kind === 'spread') return apart
  const put = putIn.find((one) => one.productId === productId)?.amount
  const held = (own: typeof loads) =>
    sumOf(own, ({ products }) => {
      const product = products.find(({ id }) => id === productId)
      return product ? inSi(product.measured) : 0
    })
  const planned = held(loads)
  if (!put || !(planned > 0)) return []
  const scale = inSi(put) / planned
  return apart.map((onto, i) => {
    const own = loadsFor(loads, rates[i]?.areas ?? [])
    const strength = held(own) / sumOf(own, ({ carrier }) => inSi(carrier))
    return { value: (inSi(onto) * strength * scale) / amountFactor(put.unit), unit: put.unit }
  })
}
