import { commonMixes, type CommonMix, type RouteApplication } from '../../job/route/commonMix'
import type { LoadPlan } from '../../plan/plan'
import type { Quantity } from '../../quantity/quantity'
import type { AmountUnit, VolumeUnit } from '../../quantity/units'

/** Another site that is sprayed out of the same tank. */
interface CommonSite {
  readonly applicationId: string
  readonly site: string
}

/** What one site of a common mix has to do with, as it was planned; products by the ids of its own plan. */
export interface CommonStop {
  /** Whose rest is in the tank on arrival; absent at the first. */
  readonly from?: CommonSite
  /** Where what is left drives on to; absent at the last. */
  readonly to?: CommonSite
  /** In the tank on arrival, what its lawns take, and what leaves again. */
  readonly arrives: Quantity<VolumeUnit>
  readonly takes: Quantity<VolumeUnit>
  readonly leaves: Quantity<VolumeUnit>
  /** Loads that are made here, by their numbers in the day. */
  readonly makes: readonly LoadPlan[]
  /** The whole mix of the day and the product in it: how strong it is. */
  readonly whole: Quantity<VolumeUnit>
  readonly holds: readonly { readonly productId: string; readonly amount: Quantity<AmountUnit> }[]
}

/**
 * The part of one application in the common mix of its day; volumes in the unit the mix is told in.
 * @param applications of the day, in driving order
 * @returns undefined where no common mix serves it
 * Source: trade.md 1.
 */
export function commonStop(
  applications: readonly RouteApplication[],
  applicationId: string,
): CommonStop | undefined {
  const isOwn = (one: { readonly applicationId: string }) => one.applicationId === applicationId
  const own = applications.find(isOwn)
  const mix = commonMixes(applications).find(({ stops }) => stops.some(isOwn))
  return own && mix && stopIn(mix, mix.stops.findIndex(isOwn), own.request)
}

function stopIn(mix: CommonMix, place: number, request: RouteApplication['request']): CommonStop | undefined {
  const stop = mix.stops[place]
  const { mix: whole } = mix.plan.totals
  if (!stop || !whole) return undefined
  const [before, after] = [mix.stops[place - 1], mix.stops[place + 1]]
  const ownId = ownIds(mix, request)
  const inMix = (value: number): Quantity<VolumeUnit> => ({ value, unit: whole.unit })
  return {
    ...(before && { from: siteOf(before) }),
    ...(after && { to: siteOf(after) }),
    arrives: inMix(stop.arrives),
    takes: inMix(stop.takes),
    leaves: inMix(stop.leaves),
    makes: stop.makes.map((load) => ({
      ...load,
      products: load.products.map((product) => ({ ...product, id: ownId(product.id) })),
    })),
    whole,
    holds: mix.plan.totals.products.map(({ id, measured }) => ({ productId: ownId(id), amount: measured })),
  }
}

const siteOf = ({ applicationId, site }: CommonSite): CommonSite => ({ applicationId, site })

/** Ids differ from job to job: a product of the mix is the one of the same name. */
function ownIds(mix: CommonMix, request: RouteApplication['request']): (id: string) => string {
  const named = (name = '') => name.trim().toLowerCase()
  const ids = new Map(
    mix.request.products.map(({ id, name }) => [
      id,
      request.products.find((product) => named(product.name) === named(name))?.id ?? id,
    ]),
  )
  return (id) => ids.get(id) ?? id
}
