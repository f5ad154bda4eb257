import { doseOf } from '../../label/dose'
import { carrierOf } from '../../plan/carrierOf'
import type { LoadPlan } from '../../plan/plan'
import { workOutPlan } from '../../plan/planApplication'
import { planQuestion } from '../../plan/planQuestion'
import type { PlanRequest } from '../../plan/planRequest'
import { sumOf } from '../../quantity/counting'
import { amountFactor, areaSi, type Quantity } from '../../quantity/quantity'
import { isOver } from '../../quantity/tolerance'
import type { VolumeUnit } from '../../quantity/units'
import { sixDigits } from '../../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../../working/working'
import { mostOfLabel } from './mostOfLabel'

/** A load that is out, as it went: the spray that left the tank, and the ground it covered, m2. */
export interface LoadDone {
  readonly sprayed: Quantity<VolumeUnit>
  readonly products: LoadPlan['products']
  readonly covered: number
}

export interface LoadsToCome {
  /** Finished spray on each m2 as it really came, m3, over what was planned. */
  readonly carrier: number
  readonly carrierOver: number
  /** `put right`: so far from planned that the loads to come change. */
  readonly answer: 'as planned' | 'put right'
  /**
   * What each product lies at on the ground of these loads, over what is meant there, with the label's most.
   */
  readonly laid: readonly { readonly id: string; readonly share: number; readonly overLabel: boolean }[]
  /** The ground still to be sprayed, m2. */
  readonly rest: number
  /** What to mix for it, at the carrier as it came; empty where nothing is left. */
  readonly loads: readonly LoadPlan[]
  /** The pace that brings the planned carrier back, over the pace so far; the loads then stay as planned. */
  readonly pace: number
}

/**
 * Spray that covered more or less ground than planned: the carrier volume is put right, and the product of
 * the loads to come with it, so that product on the ground stays what was meant. What is already laid is told
 * against the label.
 * @returns undefined for dry work, and while no load is out
 * Source: trade.md 8, sprayer off its calibration.
 * @example 26 gal planned for 20,000 ft2 covered 18,000: 1.444 gal/1,000 ft2, a tank of 26 gal holds product
 *   for 18,000 ft2, and the first load's ground got 111 %
 */
export function loadsToCome(
  request: PlanRequest,
  done: readonly LoadDone[],
  book: WorkingBook = closedWorkingBook,
): LoadsToCome | undefined {
  const { method } = request
  const last = done.at(-1)
  const planned = carrierOf(method)
  if (method.kind !== 'spray' || !last || !planned || !(last.covered > 0)) return undefined
  const whole = sumOf(request.areas, ({ size }) => areaSi(size))
  const covered = sumOf(done, (load) => load.covered)
  const carrier = (last.sprayed.value * amountFactor(last.sprayed.unit)) / last.covered
  const rest = Math.max(0, whole - covered)
  const laid = last.products.flatMap(({ id, measured }) => {
    const product = request.products.find((one) => one.id === id)
    const dose = product && doseOf(product, planned)
    if (!product || !dose?.ok) return []
    const share = (measured.value * amountFactor(measured.unit)) / last.covered / dose.value.perArea
    const most = mostOfLabel(product, planned)
    return [{ id, share, overLabel: most !== undefined && isOver(share, most) }]
  })
  book.note('run.loads', () => [
    `${sixDigits(last.sprayed.value)} ${last.sprayed.unit} on ${sixDigits(last.covered)} m2: ` +
      `${sixDigits(carrier * 1e5)} L on 100 m2, planned ${sixDigits(planned.perArea * 1e5)}`,
    `still to spray ${sixDigits(whole)} - ${sixDigits(covered)} = ${sixDigits(rest)} m2`,
    ...laid.map(({ id, share }) => `${id}: ${sixDigits(100 * share)} % of what is meant lies there`),
    `pace x ${sixDigits(carrier / planned.perArea)} would bring the planned carrier back`,
  ])
  return {
    carrier,
    carrierOver: carrier / planned.perArea - 1,
    answer: Math.abs(carrier / planned.perArea - 1) > LEFT_ALONE ? 'put right' : 'as planned',
    laid,
    rest,
    loads: rest > 0 ? loadsFor(request, rest, carrier / planned.perArea) : [],
    pace: carrier / planned.perArea,
  }
}

/** A carrier this near to the planned one is left alone (house default). */
const LEFT_ALONE = 0.02

/** The planner again, for what is left of the ground at the carrier as it came. */
function loadsFor(request: PlanRequest, rest: number, carrierOver: number): readonly LoadPlan[] {
  const question = planQuestion(request)
  const { areas, method, water } = question
  const [first] = areas
  if (method.kind !== 'spray' || !water || !first) return []
  const { carrier } = water
  const planned = workOutPlan({
    ...question,
    areas: [{ entered: { id: first.entered.id, size: first.entered.size }, size: rest }],
    method: { ...method, loads: method.loads === 'by-area' ? 'full-then-part' : method.loads },
    water: { ...water, carrier: { ...carrier, perArea: carrier.perArea * carrierOver } },
  })
  return planned.ok ? planned.value.plan.loads : []
}
