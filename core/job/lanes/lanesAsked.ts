import { typedFigure } from '../../quantity/entered'
import type { ApplicationDraft, LanesDraft } from '../../draft/applicationShape'
import { degreesOf } from '../../ground/compass'
import { placesOf, siteLayout, type SiteLayout } from '../../ground/siteLayout'
import {
  USUAL_HEADERS,
  USUAL_TURN,
  type LaneBatch,
  type LanesQuestion,
} from '../../lanes/lawns/lanesQuestion'
import type { LaneAim } from '../../lanes/plan/lanePlan'
import { amountFactor, type Quantity } from '../../quantity/quantity'
import { STOPWATCH_PER, type AmountUnit } from '../../quantity/units'
import type { WorkedApplication } from '../workOutJob'
import { typedDirection } from './readLanes'
import type { AskedBuffers } from './askedBuffers'

/** What lanes are asked with beside the sheet. */
export interface LanesBeside {
  readonly buffers: AskedBuffers
  /** What the hopper holds, kg; undefined: all of it. */
  readonly hopper: number | undefined
  /** How the plan's upward axis is turned from north, degrees; directions are typed and told from north. */
  readonly bearing: number
}

/** Where the lawns of an application lie on one plan. */
export const lawnLayout = (
  draft: ApplicationDraft,
  { lawns }: Pick<WorkedApplication, 'lawns'>,
): SiteLayout =>
  siteLayout(
    lawns.flatMap(({ id, name, treated, size, parts }, i) =>
      treated === 'yes' && size !== undefined
        ? [{ id, name, parts, places: placesOf(draft.lawns[i]?.parts ?? []) }]
        : [],
    ),
  )

/**
 * What lanes an application asks for; undefined while its calibration, its pace or its amounts are not known.
 * Choices that can't be read leave the tool's own.
 */
export function lanesAsked(
  draft: ApplicationDraft,
  worked: WorkedApplication,
  layout: SiteLayout,
  { buffers, hopper, bearing }: LanesBeside,
): LanesQuestion | undefined {
  const { calibration, plan, passes } = worked
  const speed = calibration?.speedToday
  if (!plan || !calibration || !speed) return undefined
  const { lanes } = draft
  const onPlan = (degrees: number | undefined) => (degrees === undefined ? undefined : degrees - bearing)
  const contour = contourOf(lanes)
  return {
    lawns: plan.areas.map(({ id, carrier, products }, i) => {
      const own = lanes?.lawns.find((one) => one.id === id)
      return {
        id,
        name: worked.lawns.find((one) => one.id === id)?.name ?? `Lawn ${i + 1}`,
        shapes: layout.shapes
          .filter(({ lawnId }) => lawnId === id)
          .map(({ sign, rings, partId }) => ({ sign, rings, what: whatOf(draft, partId) })),
        amount: carrier
          ? carrier.value * amountFactor(carrier.unit)
          : products.reduce((sum, { amount }) => sum + amount.value * amountFactor(amount.unit), 0),
        direction: onPlan(typedDirection(own?.direction) ?? contour),
        start: own?.start,
      }
    }),
    width: calibration.width,
    passes,
    speed,
    bearing,
    turn: turnOf(lanes),
    headers: lanes?.headers ? Number(lanes.headers) : USUAL_HEADERS,
    shutSide: lanes?.shutSide || undefined,
    aim: aimOf(lanes),
    truck: lanes?.truck,
    buffers: { water: buffers.water?.metres ?? 0, beds: buffers.beds?.metres ?? 0 },
    batches: batchesOf(worked, hopper),
  }
}

const whatOf = ({ lawns }: ApplicationDraft, partId: string): string =>
  lawns
    .flatMap(({ parts }) => parts)
    .find(({ id }) => id === partId)
    ?.what?.trim() ?? ''

/** Along the contour: at right angles to the fall. */
const contourOf = (lanes: LanesDraft | undefined): number | undefined =>
  lanes?.aim === 'contour' && lanes.downhill !== '' ? (degreesOf(lanes.downhill) + 90) % 180 : undefined

const aimOf = (lanes: LanesDraft | undefined): LaneAim =>
  lanes?.aim === 'fewest turns' || lanes?.aim === 'longest runs' ? lanes.aim : 'quickest'

function turnOf(lanes: LanesDraft | undefined): number {
  const read = lanes && typedFigure(lanes.turn, 'stopwatch', 'zero-too')
  return read ? read.value * STOPWATCH_PER[read.unit] : USUAL_TURN
}

/** What is weighed or mixed together: lawns of one rate, or those that a load is meant for. */
function batchesOf({ plan, hopper }: WorkedApplication, holds: number | undefined): readonly LaneBatch[] {
  if (!plan) return []
  const all = plan.areas.map(({ id }) => id)
  if (plan.loads.length > 0) {
    const meant = [...new Set(plan.loads.map(({ areas = all }) => areas.join(' ')))]
    return meant.map((lawns) => ({
      lawns: lawns.split(' '),
      loads: plan.loads
        .filter(({ areas = all }) => areas.join(' ') === lawns)
        .map(({ carrier }) => carrier.value * amountFactor(carrier.unit)),
      holds: undefined,
    }))
  }
  const whole = (amounts: readonly Quantity<AmountUnit>[]) =>
    amounts.reduce((sum, { value, unit }) => sum + value * amountFactor(unit), 0)
  if (plan.rates)
    return plan.rates.map(({ areas, products }) =>
      charge(areas, whole(products.map(({ measured }) => measured)), holds),
    )
  return [charge(all, hopper ? whole([hopper.weighIn]) : 0, holds)]
}

/** A hopper of which nobody knows how much it holds takes all of it. */
const charge = (lawns: readonly string[], amount: number, holds: number | undefined): LaneBatch => ({
  lawns,
  loads: [amount],
  holds: holds ?? amount,
})
