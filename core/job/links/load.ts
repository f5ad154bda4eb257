import { APPLICATION_FIELDS } from '../../draft/applicationFields'
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
import { workOutPlan } from '../../plan/planApplication'
import type { Plan } from '../../plan/plan'
import type { PlannedGroup } from '../../plan/planGroup'
import type { PlanIssue, PlanPlace } from '../../plan/planIssue'
import { requestOf, waterOf, type AskedArea, type PlanQuestion } from '../../plan/planQuestion'
import type { PlanRequest, SprayMethod } from '../../plan/planRequest'
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
  /** The areas by the rates they take, every product resolved at its rate. */
  readonly groups: readonly PlannedGroup[]
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
  const asked = method && questionOf(lawns, rate, method, units)
  const question = asked && withEverydaySteps(asked)
  const planned =
    question && !fields.problems.some(({ kind }) => kind === 'wrong')
      ? workOutPlan(question, book)
      : undefined
  if (question && planned && !planned.ok)
    for (const { code, place, message } of planned.error)
      fields.wrong(placeInDraft(code, place, question, draft), message)
  const request = question && requestOf(question)
  const plan = planned?.ok ? planned.value.plan : undefined
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
    plan,
    groups: planned?.ok ? planned.value.groups : [],
    hopper,
    checkpoints: points,
    wantedPerPass: draft.method === 'spread' ? perPassOf(first, passes) : undefined,
    light: plan && light,
    passes,
    heavy: plan && heavy,
  }
}

type AskedMethod = Pick<PlanQuestion, 'method' | 'water'>

function questionOf(
  lawns: MeasureLink['lawns'],
  { products, ownRates }: RateLink,
  method: AskedMethod,
  units: UnitSystem | undefined,
): PlanQuestion | undefined {
  const areas = lawns.flatMap(({ id, name, treated, size, parts }, index): AskedArea[] => {
    const rates = ownRates[index] ?? []
    return treated === 'yes' && size !== undefined
      ? [
          {
            entered: { id, name, size: areaIn(size, sizeUnitOf(parts)), ...(rates.length > 0 && { rates }) },
            size,
          },
        ]
      : []
  })
  const read = products.filter((product) => product !== undefined)
  const measured =
    areas.length === lawns.filter(({ treated }) => treated === 'yes').length && areas.length > 0
  return measured && read.length === products.length
    ? { areas, products: read, ...method, ...(units && { units }) }
    : undefined
}

/** An area's size is quoted in the measure it was taken in. */
const sizeUnitOf = ([first]: readonly GroundPart[]): AreaUnit => first?.unit ?? 'm2'

function spreadMethod({ spread }: ApplicationDraft, passes: number, fields: FieldReader): AskedMethod {
  const at = fields.of(APPLICATION_FIELDS, '')
  const reserve = at.optional('spread.reserve', spread.reserve)
  return { method: { kind: 'spread', passes, ...(reserve && { reserve }) }, water: undefined }
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
): AskedMethod | undefined {
  const at = fields.of(APPLICATION_FIELDS, '')
  const tank = at.needed('spray.tank', spray.tank)
  const dead = at.optional('spray.dead', spray.dead)
  const agitate = at.optional('spray.agitate', spray.agitate)
  if (!tank || carrier === undefined) return undefined
  const unit = carrierUnitFor(tank.unit)
  const method: SprayMethod = {
    kind: 'spray',
    tank,
    loads: spray.loads,
    ...(dead && { dead }),
    ...(agitate && { agitate }),
    carrier: { value: carrier / carrierFactor(unit), unit },
  }
  return {
    method,
    water: waterOf(method, { perArea: carrier, unit: unit === 'L/100 m2' ? 'L' : 'gal' }),
  }
}

/** The carrier is told in the measure the tank is told in: gallons on 1,000 ft2, litres on 100 m2. */
const carrierUnitFor = (tank: VolumeUnit): CarrierUnit =>
  tank === 'L' || tank === 'mL' ? 'L/100 m2' : 'gal/1000 ft2'

const carrierFactor = (unit: CarrierUnit): number =>
  unit === 'L/100 m2'
    ? amountFactor('L') / SQUARE_METRES_PER['100 m2']
    : amountFactor('gal') / SQUARE_METRES_PER['1000 ft2']

/** The field of the draft behind a place in what was asked. */
function placeInDraft(
  code: PlanIssue['code'],
  place: PlanPlace,
  { areas, products }: PlanQuestion,
  { lawns, method }: ApplicationDraft,
): string {
  if ('whole' in place) return place.whole === 'areas' ? 'lawns' : place.whole
  if ('method' in place) return `${method}.${place.method}`
  if ('product' in place)
    return `products.${place.product}.${code === 'needs-density' ? 'density' : fieldInDraft(place.field)}`
  const entered = areas[place.area]?.entered
  const lawn = lawns.findIndex(({ id }) => id === entered?.id)
  if (!('rate' in place)) return `lawns.${lawn}.${place.field}`
  const id = entered?.rates?.[place.rate]?.id
  if (code === 'needs-density')
    return `products.${products.findIndex((product) => product.id === id)}.density`
  const own = lawns[lawn]?.own?.findIndex(({ product }) => product === id)
  return `lawns.${lawn}.own.${own}.${fieldInDraft(place.field)}`
}

/** What a label's field is called in a draft, where that is another name. */
const IN_DRAFT: Readonly<Record<string, string>> = {
  actives: 'active.content',
  'limits.low': 'low',
  'limits.high': 'high',
  'limits.maxPerApplication': 'most',
}

function fieldInDraft(field: string): string {
  const name = field.endsWith('.unit') ? field.slice(0, -'.unit'.length) : field
  return IN_DRAFT[name] ?? name
}
