import { sumOf } from '../quantity/counting'
import type { Carrier } from '../label/dose'
import { amountFactor, areaSi } from '../quantity/quantity'
import { err, ok, type Result } from '../result'
import { loadCount, loadsByArea, MOST_LOADS, splitLoads, type Load } from './loads'
import type { PlanIssue } from './planIssue'
import type { PlanArea, PlanRequest } from './planRequest'

/** Ground and water of one application, in SI: m2 and m3. */
export interface Groundwork {
  readonly areas: readonly { readonly area: PlanArea; readonly size: number }[]
  readonly size: number
  readonly carrier: Carrier | undefined
  /** m3 on the lawn and m3 to mix; zero for dry work. */
  readonly spray: number
  readonly mix: number
  readonly loads: readonly Load[]
}

/** Sizes, water and loads of a request; error `too-many-loads`. */
export function groundwork(
  request: PlanRequest,
  carrier: Carrier | undefined,
): Result<Groundwork, readonly PlanIssue[]> {
  const areas = request.areas.map((area) => ({ area, size: areaSi(area.size) }))
  const size = sumOf(areas, (area) => area.size)
  const { method } = request
  if (method.kind === 'spread' || !carrier) return ok({ areas, size, carrier, spray: 0, mix: 0, loads: [] })
  const tank = method.tank.value * amountFactor(method.tank.unit)
  const dead = method.dead ? method.dead.value * amountFactor(method.dead.unit) : 0
  const spray = size * carrier.perArea
  const mix = spray + dead
  const count = loadCount(mix, tank)
  if (count > MOST_LOADS && Number.isFinite(count)) {
    return err([
      {
        code: 'too-many-loads',
        path: 'method.tank',
        message:
          `This takes ${count} tank loads; the most is ${MOST_LOADS}. Check the carrier's and the tank's ` +
          'units.',
      },
    ])
  }
  const loads = !Number.isFinite(count)
    ? []
    : method.loads === 'by-area'
      ? loadsByArea(
          areas.map((area) => area.size * carrier.perArea),
          tank,
          dead,
          carrier.perArea,
        )
      : splitLoads(mix, tank, method.loads, dead, carrier.perArea)
  if (loads.length > MOST_LOADS)
    return err([
      {
        code: 'too-many-loads',
        path: 'method.loads',
        message:
          `This takes ${loads.length} tank loads; the most is ${MOST_LOADS}. Let loads reach over the ` +
          `areas' bounds.`,
      },
    ])
  return ok({ areas, size, carrier, spray, mix: Number.isFinite(count) ? mix : Infinity, loads })
}
