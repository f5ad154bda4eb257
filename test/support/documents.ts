import { blankPart } from '#core/ground/blankArea'
import type { LawnPart } from '#core/ground/areaShape'
import { blankApplication, blankProduct } from '#core/draft/blankApplication'
import type {
  ApplicationDraft,
  AreaDraft,
  ProductDraft,
  SpreadDraft,
  SprayDraft,
} from '#core/draft/applicationShape'
import { sampleId, typed } from '../../demo/typed'
import { blankSpreaderCourse, blankSprayerCourse } from '#core/calibration/blankEquipment'
import type { CalibrationDocument } from '#core/calibration/calibrationShape'
import type { UnitSystem } from '#core/quantity/systems'
import type { ReadingName } from '#core/ground/methods/method'
import type { MethodName } from '#core/ground/methods/methods'
import type { Entered } from '#core/quantity/entered'
import type { LengthUnit } from '#core/quantity/units'

let counted = 1000
const nextId = () => sampleId(counted++)

export function part(
  sign: LawnPart['sign'],
  shape: MethodName,
  lengths: Partial<Record<ReadingName, string>>,
  unit: LengthUnit = 'ft',
): LawnPart {
  const blank = blankPart(nextId(), sign, shape, unit === 'm' ? 'metric-100' : 'us-1000')
  return {
    ...blank,
    lengths: {
      ...blank.lengths,
      ...Object.fromEntries(Object.entries(lengths).map(([name, text]) => [name, typed(text, unit)])),
    },
  }
}

export const lawn = (name: string, parts: readonly LawnPart[], rest: Partial<AreaDraft> = {}): AreaDraft => ({
  id: nextId(),
  name,
  treated: 'yes',
  instrument: 'tape',
  parts,
  ...rest,
})

export function product(
  name: string,
  method: ApplicationDraft['method'],
  fields: Partial<ProductDraft>,
): ProductDraft {
  return { ...blankProduct(nextId(), method, 'us-1000'), name, registration: 'sample label', ...fields }
}

export const analysis = (
  n: string,
  p2o5: string,
  k2o: string,
  fe: string,
  slowN: string,
): ProductDraft['analysis'] => ({
  n: typed(n, '%'),
  p2o5: typed(p2o5, '%'),
  k2o: typed(k2o, '%'),
  fe: typed(fe, '%'),
  slowN: typed(slowN, '%'),
})

export function spreading(
  lawns: readonly AreaDraft[],
  products: readonly ProductDraft[],
  spread: Partial<SpreadDraft>,
): ApplicationDraft {
  const blank = blankApplication(
    { lawn: nextId(), part: nextId(), product: nextId(), run: nextId() },
    'spread',
    'us-1000',
  )
  return { ...blank, lawns, products, spread: { ...blank.spread, ...spread } }
}

export function spraying(
  lawns: readonly AreaDraft[],
  products: readonly ProductDraft[],
  spray: Partial<SprayDraft>,
): ApplicationDraft {
  const blank = blankApplication(
    { lawn: nextId(), part: nextId(), product: nextId(), run: nextId() },
    'spray',
    'us-1000',
  )
  return { ...blank, lawns, products, method: 'spray', spray: { ...blank.spray, ...spray } }
}

/** A known-area calibration of the push spreader: weighed in and back over a taped course. */
export const spreaderCourse = (
  on: string,
  setting: string,
  productName: string,
  weights: readonly (readonly [string, string])[],
): SpreadDraft['calibration'] => ({
  on,
  setting,
  product: productName,
  length: typed('48', 'ft'),
  width: typed('11', 'ft'),
  speed: typed('3.1', 'mph'),
  runs: weights.map(([start, left]) => ({
    id: nextId(),
    start: typed(start, 'lb'),
    left: typed(left, 'lb'),
  })),
})

/** A known-area calibration of a sprayer: water used over a taped course. */
export const sprayerCourse = (
  on: string,
  length: Entered<LengthUnit>,
  width: Entered<LengthUnit>,
  speed: string,
  used: readonly Entered<'gal' | 'fl oz'>[],
): SprayDraft['calibration'] => ({
  on,
  length,
  width,
  speed: typed(speed, 'mph'),
  runs: used.map((amount) => ({ id: nextId(), used: amount })),
})

/** A calibration with nothing typed yet. */
export function blankCalibration(
  kind: CalibrationDocument['kind'],
  runId: string,
  system: UnitSystem,
): CalibrationDocument {
  const remarks = { schema: 1, heldBy: '', by: '', notes: '' } as const
  return kind === 'spread'
    ? { ...remarks, kind, course: blankSpreaderCourse(runId, system) }
    : { ...remarks, kind, course: blankSprayerCourse(runId, system) }
}
