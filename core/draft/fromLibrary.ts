import { typedFigure } from '../quantity/entered'
import { calibrationInForce, whyInForce, type LibraryCalibration } from '../calibration/calibrationInForce'
import type { SpreaderDocument, SprayerDocument, ToolDocument } from '../calibration/equipmentShape'
import { nextSpray, nextSpread } from '../calibration/nextCalibration'
import type { AreaDocument } from '../ground/areaShape'
import type { ProductDocument, RateLine } from '../label/productShape'
import type { Entered } from '../quantity/entered'
import { speedSi } from '../quantity/quantity'
import type { TrustQuestion } from '../calibration/calibrationTrust'
import type { House } from '../house'
import { rateUnitParts } from '../quantity/rateUnit'
import type { UnitSystem } from '../quantity/systems'
import { isMassUnit, type AmountUnit, type RateUnit } from '../quantity/units'
import type {
  ApplicationDraft,
  AreaDraft,
  OwnRate,
  ProductDraft,
  SpreadDraft,
  SprayDraft,
} from './applicationShape'

/** What the crew keeps in its library, as a job draws on it. */
export interface LibraryArea {
  readonly id: string
  readonly version: number
  readonly name: string
  readonly document: AreaDocument
}
export interface LibraryProduct {
  readonly id: string
  readonly version: number
  readonly name: string
  readonly document: ProductDocument
}
export interface LibrarySpreader {
  readonly id: string
  readonly version: number
  readonly name: string
  readonly document: SpreaderDocument
}
export interface LibrarySprayer {
  readonly id: string
  readonly version: number
  readonly name: string
  readonly document: SprayerDocument
}

/** A saved area as a lawn of a job; turf is ticked, a bed or strip waits to be asked for. */
export function lawnFromArea(
  { id, version, name, document }: LibraryArea,
  treated: AreaDraft['treated'] = document.use === 'turf' ? 'yes' : 'no',
): AreaDraft {
  const { instrument, tool, parts, slope } = document
  return { id, name, treated, instrument, ...(tool && { tool }), parts, slope, source: { id, version } }
}

/** How a product is carried: a granule dry, all else in water. */
export const methodOf = ({ form }: Pick<ProductDocument, 'form'>): ApplicationDraft['method'] =>
  form === 'granule' ? 'spread' : 'spray'

/**
 * A rate line of a saved label as a product of a job.
 * @param id of the note
 * @param step smallest step of the tool it will be measured with
 */
export function noteFromLabel(
  { id: productId, version, name, document }: LibraryProduct,
  line: RateLine,
  id: string,
  step: Entered<AmountUnit>,
): ProductDraft {
  const [active] = document.actives
  const names = document.actives
    .map((one) => one.name.trim())
    .filter((one) => one !== '')
    .join(' + ')
  const groups = document.actives
    .map(({ group }) => group.trim())
    .filter((one) => one !== '')
    .join(' + ')
  return {
    id,
    name,
    registration: document.registration,
    form: document.form,
    basis: line.basis,
    rate: line.rate.text.trim() === '' ? lowEndOf(line) : line.rate,
    low: line.low,
    high: line.high,
    most: line.most,
    ...(line.basis !== 'product' && { limitBasis: line.basis }),
    density: document.density,
    analysis: document.analysis,
    active: { name: names, content: active?.content ?? { text: '', unit: '%' }, group: groups },
    step,
    reentry: document.reentry,
    repeat: line.repeatTo.text.trim() === '' ? line.repeatFrom : line.repeatTo,
    ...(line.figures?.lasts && { lasts: line.figures.lasts }),
    ...(document.ph && { ph: document.ph }),
    ...(document.measures && document.measures.length > 0 && { measures: document.measures }),
    source: { id: productId, version, line: line.id },
  }
}

/**
 * A label that prints only a range starts at its low end: more can be asked for, less can't be taken back.
 */
const lowEndOf = ({ low, high, rate }: RateLine): Entered<RateUnit> =>
  low.text.trim() !== '' ? low : high.text.trim() !== '' ? high : rate

/** Another line of a label as one lawn's own rate, with that line's limits. */
export const ownFromLine = (product: string, line: RateLine): OwnRate => ({
  product,
  rate: line.rate.text.trim() === '' ? lowEndOf(line) : line.rate,
  line: line.id,
  low: line.low,
  high: line.high,
  most: line.most,
})

/**
 * The step a rate is measured in: the finest scale for what is told by mass, the finest cup for what is told
 * by volume. Blank without such a tool.
 */
export function stepFor(
  rate: RateUnit,
  tools: readonly Pick<ToolDocument, 'type' | 'step'>[],
  use: 'fine' | 'coarse',
): Entered<AmountUnit> {
  const mass = rateUnitParts(rate).dimension === 'mass'
  const fitting = tools.filter(({ step }) => step.text.trim() !== '' && isMassUnit(step.unit) === mass)
  const coarse = fitting.filter(({ step }) => step.unit === 'lb' || step.unit === 'kg')
  return (
    (use === 'coarse' ? coarse[0] : undefined)?.step ??
    fitting.find((tool) => !coarse.includes(tool))?.step ??
    fitting[0]?.step ?? { text: '', unit: mass ? 'g' : 'mL' }
  )
}

/**
 * A saved spreader with its calibration in force as the method of a job; what belongs to today (passes,
 * speed) stays.
 */
export function spreadFrom(
  equipment: LibrarySpreader,
  calibration: LibraryCalibration | undefined,
  before: SpreadDraft,
  runId: string,
  system: UnitSystem,
): SpreadDraft {
  const course =
    calibration?.document.kind === 'spread'
      ? { ...calibration.document.course, source: { id: calibration.id, version: calibration.version } }
      : nextSpread(equipment.document, [], runId, system, '').course
  return {
    ...before,
    equipment: equipment.name,
    reserve: equipment.document.reserve,
    calibration: course,
    source: { id: equipment.id, version: equipment.version },
  }
}

/** The set that is on, as a calibration is held against it. */
export const nozzlesOn = ({
  what,
  fitted = '',
  drops = [],
}: SprayerDocument['nozzles']): NonNullable<SprayDraft['nozzles']> => ({
  what,
  fitted,
  ...(drops.length > 0 && { drops }),
})

/** A saved sprayer with its calibration in force as the method of a job. */
export function sprayFrom(
  { id, version, name, document }: LibrarySprayer,
  calibration: LibraryCalibration | undefined,
  before: SprayDraft,
  runId: string,
  system: UnitSystem,
): SprayDraft {
  const course =
    calibration?.document.kind === 'spray'
      ? { ...calibration.document.course, source: { id: calibration.id, version: calibration.version } }
      : nextSpray(document, [], runId, system, '').course
  const { tank, fillTo, dead, agitate, nozzles } = document
  return {
    ...before,
    equipment: name,
    nozzles: nozzlesOn(nozzles),
    tank: fillTo.text.trim() === '' ? tank : fillTo,
    dead,
    agitate,
    calibration: course,
    source: { id, version },
  }
}

/** What a job asks of a calibration: its day, first product, today's speed and the nozzles that are on. */
export function trustQuestion(
  { method, products, spread, spray }: Pick<ApplicationDraft, 'method' | 'products' | 'spread' | 'spray'>,
  day: string,
  { calibrationDays }: House,
): TrustQuestion {
  const typed = typedFigure((method === 'spread' ? spread : spray).speedToday, 'speed')
  return {
    day,
    days: calibrationDays,
    product: products[0]?.name ?? '',
    ...(typed && { speed: speedSi(typed) }),
    ...(method === 'spray' && spray.nozzles && { nozzles: spray.nozzles }),
  }
}

/** Why the calibration in force goes before the machine's others; undefined where there is one alone. */
export const whyInForceFor = (
  calibrations: readonly LibraryCalibration[],
  document: ApplicationDraft,
  day: string,
  house: House,
): string | undefined => whyInForce(calibrations, trustQuestion(document, day, house))

/** The calibration in force for the equipment a job names. */
export const inForceFor = (
  calibrations: readonly LibraryCalibration[],
  document: ApplicationDraft,
  day: string,
  house: House,
): LibraryCalibration | undefined => calibrationInForce(calibrations, trustQuestion(document, day, house))
