import { sumOf } from '../../quantity/counting'
import { isUnder } from '../../quantity/tolerance'
import { mixingOrder } from '../../plan/mixingOrder'
import { planApplication } from '../../plan/planApplication'
import type { LoadPlan, Plan } from '../../plan/plan'
import type { PlanRequest } from '../../plan/planRequest'
import { rateUnitParts } from '../../quantity/rateUnit'
import { amountFactor } from '../../quantity/quantity'
import { sixDigits } from '../../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../../working/working'
import type { ApplicationDraft } from '../../draft/applicationShape'

/** One application of the day that takes its spray from a common mix. */
export interface RouteApplication {
  readonly applicationId: string
  readonly jobId: string
  readonly site: string
  readonly document: ApplicationDraft
  readonly request: PlanRequest
  readonly plan: Plan
  /** How far its run has come. */
  readonly state: 'planned' | 'running' | 'done'
}

/** What one site takes out of the common mix; volumes in the mix's unit. */
export interface MixStop {
  readonly applicationId: string
  readonly jobId: string
  readonly site: string
  /** In the tank on arrival, and when leaving; what is carried on. */
  readonly arrives: number
  readonly takes: number
  readonly leaves: number
  /** Loads that are made here. */
  readonly makes: readonly LoadPlan[]
}

/** One tank mix that serves several sites, in driving order. */
export interface CommonMix {
  readonly key: string
  readonly plan: Plan
  readonly request: PlanRequest
  readonly unit: string
  /** Ids of its products in mixing order. */
  readonly order: readonly string[]
  readonly stops: readonly MixStop[]
}

/** Its spray is to come out of one mix with other sites of its day. */
export const isShared = ({ method, spray }: ApplicationDraft): boolean =>
  method === 'spray' && spray.shared === 'day'

/**
 * What must be alike so that one mix may serve both: the sprayer, its carrier, the products and their rates.
 */
export function mixKey({
  document,
  request,
}: Pick<RouteApplication, 'document' | 'request'>): string | undefined {
  const { method, products, areas } = request
  if (method.kind !== 'spray' || areas.some(({ rates }) => rates)) return undefined
  const carrier = method.carrier.value * rateUnitParts(method.carrier.unit).factor
  const partners = products
    .map(
      ({ name, rate, basis }) =>
        `${(name ?? '').trim().toLowerCase()} ` +
        `${(rate.value * rateUnitParts(rate.unit).factor).toPrecision(9)} ${basis ?? 'product'}`,
    )
    .toSorted()
  return [
    document.spray.equipment.trim().toLowerCase(),
    carrier.toPrecision(9),
    (method.tank.value * amountFactor(method.tank.unit)).toPrecision(9),
    ...partners,
  ].join(' | ')
}

/**
 * The common mixes of a day. The loads are made one after the other as the tank runs empty; each site takes
 * what its lawns need, the rest drives on; the dead volume stays once.
 * @param applications of the day in driving order; only those marked as shared take part, and only where
 *   two are alike
 * Source: trade.md 1: one tank mix may serve several sites, the used volume is booked to each, the rest is
 * carried on.
 */
export function commonMixes(
  applications: readonly RouteApplication[],
  book: WorkingBook = closedWorkingBook,
): readonly CommonMix[] {
  return sprayedAlike(applications.filter(({ document }) => isShared(document))).flatMap(({ key, own }) => {
    const mix = mixOf(key, own)
    if (mix) noteStops(mix, book)
    return mix ? [mix] : []
  })
}

/** Applications that are sprayed alike but mixed apart, by what they have in common. */
export function alikeApart(
  applications: readonly RouteApplication[],
): readonly { readonly key: string; readonly own: readonly RouteApplication[] }[] {
  return sprayedAlike(applications.filter(({ document }) => !isShared(document)))
}

/** Two and more that one mix may serve. */
function sprayedAlike(
  applications: readonly RouteApplication[],
): readonly { readonly key: string; readonly own: readonly RouteApplication[] }[] {
  const groups = new Map<string, RouteApplication[]>()
  for (const one of applications) {
    const key = mixKey(one)
    if (key !== undefined) groups.set(key, [...(groups.get(key) ?? []), one])
  }
  return [...groups].filter(([, own]) => own.length > 1).map(([key, own]) => ({ key, own }))
}

/** What each site finds in the tank, takes out of it and drives on with. */
function noteStops({ stops, unit }: CommonMix, book: WorkingBook): void {
  for (const { applicationId, site, arrives, takes, leaves, makes } of stops) {
    book.note(`mix.${applicationId}`, () => [
      `${site} is reached with ${sixDigits(arrives)} ${unit} in the tank`,
      ...makes.map(
        ({ number, carrier }) => `load ${number} is made here: ${sixDigits(carrier.value)} ${unit}`,
      ),
      `its lawns take ${sixDigits(takes)} ${unit}`,
      `drives on with = ${sixDigits(leaves)} ${unit}`,
    ])
  }
}

function mixOf(key: string, own: readonly RouteApplication[]): CommonMix | undefined {
  const [first] = own
  if (!first) return undefined
  const request: PlanRequest = {
    ...first.request,
    areas: own.flatMap((one, i) =>
      one.request.areas.map((area) => ({
        ...area,
        id: `${i}-${area.id}`.slice(0, 64),
        name: `${one.site}: ${area.name ?? ''}`,
      })),
    ),
  }
  const planned = planApplication(request)
  const unit = planned.ok ? planned.value.totals.mix?.unit : undefined
  if (!planned.ok || unit === undefined) return undefined
  const { loads } = planned.value
  let [made, used, next] = [0, 0, 0]
  const stops = own.map(({ applicationId, jobId, site, plan }): MixStop => {
    const arrives = made - used
    const takes = plan.totals.carrier
      ? (plan.totals.carrier.value * amountFactor(plan.totals.carrier.unit)) / amountFactor(unit)
      : 0
    const makes: LoadPlan[] = []
    used += takes
    for (let load = loads[next]; load && isUnder(made, used); load = loads[next]) {
      makes.push(load)
      made += load.carrier.value
      next += 1
    }
    return { applicationId, jobId, site, arrives, takes, leaves: made - used, makes }
  })
  // What the dead volume asks for beyond the last lawn is made with the last site's loads.
  const rest = loads.slice(next)
  const last = stops.at(-1)
  const whole =
    last && rest.length > 0
      ? [
          ...stops.slice(0, -1),
          {
            ...last,
            makes: [...last.makes, ...rest],
            leaves: last.leaves + sumOf(rest, ({ carrier }) => carrier.value),
          },
        ]
      : stops
  return {
    key,
    plan: planned.value,
    request,
    unit,
    order: mixingOrder(first.document.products).map(({ id }) => id),
    stops: whole,
  }
}
