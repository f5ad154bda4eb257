import { DEFAULT_HOUSE, type House } from '../house'
import { walkOf, type Walk } from '../lanes/walk'
import { doseOf } from '../label/dose'
import { planApplication } from '../plan/planApplication'
import type { Plan } from '../plan/plan'
import { sortChecks } from '../plan/planChecks'
import type { PlanIssue } from '../plan/planIssue'
import type { PlanProduct, PlanRequest } from '../plan/planRequest'
import type { GroundPart } from '../ground/groundPart'
import { amountFactor, areaIn, type SquareMetres } from '../quantity/quantity'
import { SQUARE_METRES_PER, type AreaUnit, type CarrierUnit, type VolumeUnit } from '../quantity/units'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import { standingOf, type Ground } from '../calibration/standing'
import { standingQuestion } from './fromRooms'
import { calibrationChecks } from './calibrationChecks'
import type { ApplicationDocument } from './document'
import { fieldReader, type FieldProblem, type FieldReader } from '../quantity/fieldReader'
import { withRemedies } from './planCheckRemedies'
import { carrierQuestions, lawnQuestions, rateQuestions, tankQuestions } from './questions'
import { courseIn, readCalibration, type SheetCalibration } from './readCalibration'
import { readGround, treatedGround, type SheetLawn } from './readGround'
import { checkpoints, type Checkpoint } from '../plan/checkpoints'
import { hopperCharge, type HopperCharge } from '../plan/hopperCharge'
import { lightPasses, type LightPasses } from '../plan/lightPasses'
import { definedOnly, partOf, readProducts } from './readProducts'
import type { SheetCheck } from './sheetCheck'

/** Everything the job sheet shows of one application, as far as it can be known from what has been typed. */
export interface ApplicationSheet {
  readonly lawns: readonly SheetLawn[]
  /** The treated lawns together, m2, and one standard deviation. */
  readonly size: SquareMetres
  readonly sd: SquareMetres
  readonly products: readonly (PlanProduct | undefined)[]
  readonly calibration: SheetCalibration | undefined
  /** What speaks for trusting that calibration today and what against. */
  readonly standing: readonly Ground[]
  /** What was planned, in the public contract's terms; kept with the plan. */
  readonly request: PlanRequest | undefined
  readonly plan: Plan | undefined
  /** What a dry job weighs in, in the steps of its scale. */
  readonly hopper: HopperCharge | undefined
  /**
   * What should be left in it on the way; none where lawns are weighed apart or passes go on until it is out.
   */
  readonly checkpoints: readonly Checkpoint[]
  /** Kg/m2 that each dry pass must put down. */
  readonly wantedPerPass: number | undefined
  readonly walk: Walk | undefined
  /** How many light passes the setting takes, where they are wanted. */
  readonly light: LightPasses | undefined
  readonly checks: readonly SheetCheck[]
  readonly problems: readonly FieldProblem[]
}

/**
 * Composes the whole sheet of one application from what a person typed: measure, calibrate, rate, load, walk.
 * @param day the day it is worked out for, YYYY-MM-DD: dated exclusions lapse, calibrations age
 * @param book where the working of every figure is kept
 */
export function composeSheet(
  document: ApplicationDocument,
  day: string,
  book: WorkingBook = closedWorkingBook,
  house: House = DEFAULT_HOUSE,
): ApplicationSheet {
  const fields = fieldReader()
  const lawns = readGround(document.lawns, day, fields, book)
  if (!document.lawns.some(({ treated }) => treated === 'yes'))
    fields.missing('lawns.0.treated', 'Tick at least one lawn to treat.')
  const calibration = readCalibration(document, fields, book)
  const products = readProducts(document.products, fields)
  const questions = [...lawnQuestions(lawns, fields), ...rateQuestions(document, products, fields)]
  const request = requestOf(document, lawns, calibration, products, fields)
  const planned =
    request && !fields.problems.some(({ kind }) => kind === 'wrong')
      ? planApplication(request, book)
      : undefined
  if (planned && !planned.ok) planned.error.forEach((issue) => placeIssue(issue, document, fields))
  readDay(document, fields)
  const plan = planned?.ok ? planned.value : undefined
  const hopper = request && plan && hopperCharge(request, plan, book)
  const ground = treatedGround(lawns, book)
  const first = products[0]
  const whole = document.method === 'spread' && first ? perPassOf(first, 1) : undefined
  const light =
    document.spread.until === 'out' && calibration && whole !== undefined && plan
      ? lightPasses(whole, calibration.perPass, book)
      : undefined
  const passes = plan && request?.method.kind === 'spread' ? request.method.passes : document.spread.passes
  const treated = lawns.flatMap(({ name, treated: yes, size }) =>
    yes === 'yes' && size !== undefined ? [{ name, size }] : [],
  )
  const points =
    hopper && !light && !plan?.rates
      ? checkpoints(hopper.weighIn, hopper.measured, passes, treated, book)
      : []
  const wantedPerPass = document.method === 'spread' && first ? perPassOf(first, passes) : undefined
  const speed = calibration?.speedToday
  const walk =
    plan && calibration && speed
      ? walkOf(ground.size, calibration.width, document.method === 'spread' ? passes : 1, speed, book)
      : undefined
  const standing = calibration ? standingOf(courseIn(document), standingQuestion(document, day, house)) : []
  const checks = sortChecks(
    [
      ...(plan ? withRemedies(plan.checks, document) : []),
      ...questions,
      ...(calibration
        ? calibrationChecks(document, calibration, {
            day,
            wantedPerPass: light ? undefined : wantedPerPass,
            house,
            standing,
          })
        : []),
      ...(calibration && document.method === 'spray' && document.spray.calibration.by !== 'hose-end'
        ? wetQuestions(calibration, plan)
        : []),
    ],
    document.products.map(({ id }) => id),
  )
  return {
    lawns,
    ...ground,
    products,
    calibration,
    standing,
    request,
    plan: plan && { ...plan, working: book.pages() },
    hopper,
    checkpoints: points,
    wantedPerPass,
    walk,
    light,
    checks,
    problems: fields.problems,
  }
}

function requestOf(
  document: ApplicationDocument,
  lawns: readonly SheetLawn[],
  calibration: SheetCalibration | undefined,
  products: readonly (PlanProduct | undefined)[],
  fields: FieldReader,
): PlanRequest | undefined {
  const method =
    document.method === 'spread'
      ? spreadMethod(document, calibration, products[0], fields)
      : sprayMethod(document, calibration, fields)
  const areas = lawns.flatMap(({ id, name, treated, size, parts }, index) =>
    treated === 'yes' && size !== undefined
      ? [{ id, name, size: areaIn(size, sizeUnitOf(parts)), ...ownRates(document, index, fields) }]
      : [],
  )
  const read = products.filter((product) => product !== undefined)
  const whole = areas.length === lawns.filter(({ treated }) => treated === 'yes').length && areas.length > 0
  return method && calibration && whole && read.length === products.length
    ? { areas, products: read, method }
    : undefined
}

/** A lawn's size is quoted in the measure it was taken in. */
const sizeUnitOf = ([first]: readonly GroundPart[]): AreaUnit => first?.unit ?? 'm2'

/** What was noted of the day is read for its errors here; the checks of the rooms ask it again. */
function readDay({ day, fate }: ApplicationDocument, fields: FieldReader): void {
  if (day) {
    fields.optional('day.air', day.air, 'temperature', 'Air', 'any-sign')
    fields.optional('day.soil', day.soil, 'temperature', 'Soil', 'any-sign')
  }
  if (fate) fields.optional('fate.wait', fate.wait, 'time', 'Wait', 'zero-too')
}

function ownRates(
  { lawns, products }: ApplicationDocument,
  index: number,
  fields: FieldReader,
): Pick<PlanRequest['areas'][number], 'rates'> {
  const rates = products.flatMap((product) => {
    const place = lawns[index]?.own?.findIndex((one) => one.product === product.id) ?? -1
    const own = lawns[index]?.own?.[place]
    const rate =
      own &&
      fields.optional(`lawns.${index}.own.${place}.rate`, own.rate, 'rate', 'Rate of this lawn', 'above-zero')
    const limit = (name: 'low' | 'high' | 'most') =>
      own?.[name] &&
      fields.optional(
        `lawns.${index}.own.${place}.rate`,
        own[name],
        'rate',
        'Limit of that line',
        'above-zero',
      )
    const limits =
      own?.line === undefined
        ? undefined
        : definedOnly({ low: limit('low'), high: limit('high'), maxPerApplication: limit('most') })
    return rate ? [{ id: product.id, rate: partOf(product, rate), ...(limits && { limits }) }] : []
  })
  return rates.length > 0 ? { rates } : {}
}

function spreadMethod(
  { spread }: ApplicationDocument,
  calibration: SheetCalibration | undefined,
  product: PlanProduct | undefined,
  fields: FieldReader,
): PlanRequest['method'] {
  const reserve = fields.optional('spread.reserve', spread.reserve, 'mass', 'Reserve', 'zero-too')
  const whole = product && perPassOf(product, 1)
  return {
    kind: 'spread',
    passes:
      spread.until === 'out' && calibration && whole !== undefined
        ? lightPasses(whole, calibration.perPass).passes
        : spread.passes,
    ...(reserve && { reserve }),
  }
}

function sprayMethod(
  { spray }: ApplicationDocument,
  calibration: SheetCalibration | undefined,
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
  if (!tank || !calibration) return undefined
  const unit = carrierUnitFor(tank.unit)
  return {
    kind: 'spray',
    tank,
    loads: spray.loads,
    ...(dead && { dead }),
    ...(agitate && { agitate }),
    carrier: { value: calibration.perPass / carrierFactor(unit), unit },
  }
}

/** The carrier is told in the measure the tank is told in: gallons on 1,000 ft2, litres on 100 m2. */
export const carrierUnitFor = (tank: VolumeUnit): CarrierUnit =>
  tank === 'L' || tank === 'mL' ? 'L/100 m2' : 'gal/1000 ft2'

const carrierFactor = (unit: CarrierUnit): number =>
  unit === 'L/100 m2'
    ? amountFactor('L') / SQUARE_METRES_PER['100 m2']
    : amountFactor('gal') / SQUARE_METRES_PER['1000 ft2']

function perPassOf(product: PlanProduct, passes: number): number | undefined {
  const dose = doseOf(product, undefined)
  return dose.ok && dose.value.dimension === 'mass' ? dose.value.perArea / passes : undefined
}

function wetQuestions(calibration: SheetCalibration, plan: Plan | undefined): readonly SheetCheck[] {
  const size = plan?.totals.size.value
  const volumes = size
    ? plan.totals.products
        .filter(({ amount }) => amountIsVolume(amount.unit))
        .map(({ amount }) => (amount.value * amountFactor(amount.unit)) / size)
    : []
  return [...carrierQuestions(calibration.perPass), ...tankQuestions(volumes, calibration.perPass)]
}

const amountIsVolume = (unit: string): boolean => !['lb', 'oz', 'g', 'kg'].includes(unit)

/** Paths of the public request, in the document's own words. */
function placeIssue(
  { path, message }: PlanIssue,
  { method }: ApplicationDocument,
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
    message.includes('density') ? place.replace(/^(products\.\d+)\..*/, '$1.density') : place,
    message,
  )
}
