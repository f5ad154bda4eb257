import { sumOf } from '../quantity/counting'
import { err, ok, type Result } from '../result'
import { loadCount, loadsByArea, MOST_LOADS, splitLoads, type Load } from './loads'
import type { PlanIssue } from './planIssue'
import type { AskedArea, PlanQuestion } from './planQuestion'

/** Ground and water of areas that take one mix, in SI: m2 and m3. */
export interface Groundwork {
  readonly size: number
  /** m3 on the lawn and m3 to mix; zero for dry work. */
  readonly spray: number
  readonly mix: number
  readonly loads: readonly Load[]
}

/** Sizes, water and loads of some areas of a question; error `too-many-loads`. */
export function groundwork(
  areas: readonly AskedArea[],
  { method, water }: Pick<PlanQuestion, 'method' | 'water'>,
): Result<Groundwork, readonly PlanIssue[]> {
  const size = sumOf(areas, (area) => area.size)
  if (method.kind === 'spread' || !water) return ok({ size, spray: 0, mix: 0, loads: [] })
  const { tank, dead, carrier } = water
  const spray = size * carrier.perArea
  const mix = spray + dead
  const count = loadCount(mix, tank)
  // Beyond every number: the plan as a whole is refused.
  if (!Number.isFinite(count)) return ok({ size, spray, mix: Infinity, loads: [] })
  if (count > MOST_LOADS)
    return err([
      {
        code: 'too-many-loads',
        place: { method: 'tank' },
        message:
          `This takes ${count} tank loads; the most is ${MOST_LOADS}. Check the carrier's and the tank's ` +
          'units.',
      },
    ])
  const loads =
    method.loads === 'by-area'
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
        place: { method: 'loads' },
        message:
          `This takes ${loads.length} tank loads; the most is ${MOST_LOADS}. Let loads reach over the ` +
          `areas' bounds.`,
      },
    ])
  return ok({ size, spray, mix, loads })
}
