import type { UnitSystem } from '../../quantity/systems'
import { sprayMethodOf } from '../../calibration/courseNote'
import { heavyMix, type HeavyMix } from '../../plan/heavyMix'
import type { CalibrationToday } from '../../calibration/calibrationToday'
import type { ApplicationDraft } from '../../draft/applicationShape'
import type { GroundPart } from '../../ground/groundPart'
import { checkpoints, type Checkpoint } from '../../plan/checkpoints'
import { withEverydaySteps } from '../../plan/everydaySteps'
import { hopperCharge, type HopperCharge } from '../../plan/hopperCharge'
import { lightPasses, type LightPasses } from '../../plan/lightPasses'
import { planApplication } from '../../plan/planApplication'
import type { Plan } from '../../plan/plan'
import type { PlanIssue } from '../../plan/planIssue'
import type { PlanRequest } from '../../plan/planRequest'
import type { FieldReader } from '../../quantity/fieldReader'
import { amountFactor, areaIn } from '../../quantity/quantity'
import { SQUARE_METRES_PER, type AreaUnit, type CarrierUnit, type VolumeUnit } from '../../quantity/units'
import type { WorkingBook } from '../../working/working'
import type { MeasureLink } from './measure'
import { perPassOf, type RateLink } from './rate'

/** Amounts, water and charges. A dry amount needs no calibration; spray does, for its carrier. */
export interface LoadLink {
  /** What was planned, in the public contract's terms; kept with the plan. */
  readonly request: PlanRequest | undefined
  readonly plan: Plan | undefined
  /** What a dry job weighs in, in the steps of its scale. */
  readonly hopper: HopperCharge | undefined
  /**
   * What should be left in it on the way; none where areas are weighed apart or passes go on until it is out.
   */
  readonly checkpoints: readonly Checkpoint[]
  /** Kg/m2 that each dry pass must put down. */
  readonly wantedPerPass: number | undefined
  /** How many light passes the setting takes, where they are wanted. */
  readonly light: LightPasses | undefined
  readonly passes: number
  /** Where the mix is so much heavier than water that its carrier was put right. */
  readonly heavy: HeavyMix | undefined
}

/** Plans the amounts from ground, rates and (for spray) the calibration. */
export function loadLink(
  draft: ApplicationDraft,
  { lawns }: MeasureLink,
  calibration: CalibrationToday | undefined,
  rate: RateLink,
  fields: FieldReader,
  book: WorkingBook,
  units?: UnitSystem,
): LoadLink {
  const [first] = rate.products
  const whole = draft.method === 'spread' ? perPassOf(first, 1) : undefined
  const light =
    draft.spread.until === 'out' && calibration && whole !== undefined
      ? lightPasses(whole, calibration.perPass, book)
      : undefined
  const heavy = calibration && isCaughtAsWater(draft) ? heavyOf(rate, calibration.perPass, book) : undefined
  const method =
    draft.method === 'spread'
      ? spreadMethod(draft, light?.passes ?? draft.spread.passes, fields)
      : sprayMethod(draft, heavy?.carrier ?? calibration?.perPass, fields)
  const asked = method && requestOf(lawns, rate, method, units)
  const request = asked && withEverydaySteps(asked)
  const planned =
    request && !fields.problems.some(({ kind }) => kind === 'wrong')
      ? planApplication(request, book)
      : undefined
  if (planned && !planned.ok) planned.error.forEach((issue) => placeIssue(issue, draft, fields))
  const plan = planned?.ok ? planned.value : undefined
  const hopper = request && plan && hopperCharge(request, plan, book)
  const passes = draft.method === 'spread' ? (light?.passes ?? draft.spread.passes) : 1
  const treated = lawns.flatMap(({ name, treated: yes, size }) =>
    yes === 'yes' && size !== undefined ? [{ name, size }] : [],
  )
  const points =
    hopper && !light && !plan?.rates
      ? checkpoints(hopper.weighIn, hopper.measured, passes, treated, book)
      : []
  return {
    request,
    plan: plan && { ...plan, working: book.pages() },
    hopper,
    checkpoints: points,
    wantedPerPass: draft.method === 'spread' ? perPassOf(first, passes) : undefined,
    light: plan && light,
    passes,
    heavy: plan && heavy,
  }
}

function requestOf(
  lawns: MeasureLink['lawns'],
  { products, ownRates }: RateLink,
  method: PlanRequest['method'],
  units: UnitSystem | undefined,
): PlanRequest | undefined {
  const areas = lawns.flatMap(({ id, name, treated, size, parts }, index) => {
    const rates = ownRates[index] ?? []
    return treated === 'yes' && size !== undefined
      ? [{ id, name, size: areaIn(size, sizeUnitOf(parts)), ...(rates.length > 0 && { rates }) }]
      : []
  })
  const read = products.filter((product) => product !== undefined)
  const measured =
    areas.length === lawns.filter(({ treated }) => treated === 'yes').length && areas.length > 0
  return measured && read.length === products.length
    ? { areas, products: read, method, ...(units && { units }) }
    : undefined
}

/** An area's size is quoted in the measure it was taken in. */
const sizeUnitOf = ([first]: readonly GroundPart[]): AreaUnit => first?.unit ?? 'm2'

function spreadMethod(
  { spread }: ApplicationDraft,
  passes: number,
  fields: FieldReader,
): PlanRequest['method'] {
  const reserve = fields.optional('spread.reserve', spread.reserve, 'mass', 'Reserve', 'zero-too')
  return { kind: 'spread', passes, ...(reserve && { reserve }) }
}

/**
 * Calibrated with water, while the mix itself goes out; a job was sprayed with it, a hose end draws its own.
 */
function isCaughtAsWater({ method, spray }: ApplicationDraft): boolean {
  const by = sprayMethodOf(spray.calibration)
  return method === 'spray' && by !== 'job' && by !== 'hose-end'
}

const heavyOf = ({ products }: RateLink, watered: number, book: WorkingBook): HeavyMix | undefined =>
  heavyMix(
    products.filter((product) => product !== undefined),
    watered,
    book,
  )

function sprayMethod(
  { spray }: ApplicationDraft,
  /** M3 on each m2. */
  carrier: number | undefined,
  fields: FieldReader,
): PlanRequest['method'] | undefined {
  const tank = fields.positive('spray.tank', spray.tank, 'volume', 'Tank')
  const dead = fields.optional('spray.dead', spray.dead, 'volume', 'Dead volume', 'zero-too')
  const agitate = fields.optional(
    'spray.agitate',
    spray.agitate,
    'volume',
    'Least the pump agitates',
    'zero-too',
  )
  if (!tank || carrier === undefined) return undefined
  const unit = carrierUnitFor(tank.unit)
  return {
    kind: 'spray',
    tank,
    loads: spray.loads,
    ...(dead && { dead }),
    ...(agitate && { agitate }),
    carrier: { value: carrier / carrierFactor(unit), unit },
  }
}

/** The carrier is told in the measure the tank is told in: gallons on 1,000 ft2, litres on 100 m2. */
const carrierUnitFor = (tank: VolumeUnit): CarrierUnit =>
  tank === 'L' || tank === 'mL' ? 'L/100 m2' : 'gal/1000 ft2'

const carrierFactor = (unit: CarrierUnit): number =>
  unit === 'L/100 m2'
    ? amountFactor('L') / SQUARE_METRES_PER['100 m2']
    : amountFactor('gal') / SQUARE_METRES_PER['1000 ft2']

/** Paths of the public request, in the draft's own words. */
function placeIssue(
  { code, path, message }: PlanIssue,
  { method }: ApplicationDraft,
  fields: FieldReader,
): void {
  const place = path
    .replace(/^areas\.(\d+)\.rates\.(\d+)\.rate/, 'lawns.$1.own.$2.rate')
    .replace(/^method\./, `${method}.`)
    .replace('.limits.maxPerApplication', '.most')
    .replace(/\.limits\.(low|high)/, '.$1')
    .replace(/^(products\.\d+)\.actives$/, '$1.active.content')
    .replace(/\.unit$/, '')
  fields.wrong(
    code === 'needs-density' ? place.replace(/^(products\.\d+)\..*/, '$1.density') : place,
    message,
  )
}
