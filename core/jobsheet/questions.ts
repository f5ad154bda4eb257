import { formatFigure, formatArea } from '../quantity/format'
import { KILOGRAMS_PER, SQUARE_METRES_PER, CUBIC_METRES_PER } from '../quantity/units'
import { rateUnitParts } from '../quantity/rateUnit'
import { amountFactor } from '../quantity/quantity'
import type { PlanProduct } from '../plan/planRequest'
import type { ApplicationDocument, ProductNote } from './document'
import type { FieldReader } from '../quantity/fieldReader'
import type { SheetLawn } from './readGround'
import type { SheetCheck } from './sheetCheck'

const PER_THOUSAND = SQUARE_METRES_PER['1000 ft2']
/** An acre in thousands of square feet: the factor of the commonest slip in the trade. */
const ACRE_IN_THOUSANDS = SQUARE_METRES_PER.ac / PER_THOUSAND
/**
 * Dry product on the ground: questioned from here, refused from there, kg/m2. No labelled granule goes down
 * at 200 lb/1000 ft2.
 */
const MUCH_MASS = (50 * KILOGRAMS_PER.lb) / PER_THOUSAND
const IMPOSSIBLE_MASS = (200 * KILOGRAMS_PER.lb) / PER_THOUSAND
/** Liquid product on the ground, m3/m2: a gallon on 1,000 ft2 is questioned, ten are refused. */
const MUCH_VOLUME = CUBIC_METRES_PER.gal / PER_THOUSAND
const IMPOSSIBLE_VOLUME = (10 * CUBIC_METRES_PER.gal) / PER_THOUSAND
const LARGE_LAWN = 20 * SQUARE_METRES_PER.ac
const IMPOSSIBLE_LAWN = 2000 * SQUARE_METRES_PER.ac
const LARGE_EXCLUSION = SQUARE_METRES_PER.ac
const SMALL_LAWN = 20 * SQUARE_METRES_PER.ft2
/** Finished spray on the ground, m3/m2. */
const LEAST_CARRIER = (0.1 * CUBIC_METRES_PER.gal) / PER_THOUSAND
const MOST_CARRIER = (12 * CUBIC_METRES_PER.gal) / PER_THOUSAND

const question = (code: SheetCheck['code'], message: string, path: string, label: string): SheetCheck => ({
  level: 'warn',
  code,
  message,
  source: 'plausibility',
  remedies: [{ label, path }],
})

/**
 * Lawns and exclusions of a size that is more often a slip of the unit than a lawn; impossible ones go to the
 * field as errors.
 */
export function lawnQuestions(lawns: readonly SheetLawn[], fields: FieldReader): readonly SheetCheck[] {
  return lawns.flatMap((lawn, index) => {
    const path = `lawns.${index}.parts.0`
    const { size } = lawn
    if (size === undefined) return []
    const told =
      size > LARGE_LAWN
        ? `${formatFigure(size / SQUARE_METRES_PER.ac)} acres`
        : `${formatArea(size / SQUARE_METRES_PER.ft2, 'ft2')} ft²`
    if (size > IMPOSSIBLE_LAWN) {
      fields.wrong(
        path,
        `${lawn.name} comes to ${told}: no lawn is that large. Check the lengths and their units.`,
      )
      return []
    }
    const exclusion = lawn.parts.findIndex((part) => part.sign === 'subtract' && part.flat > LARGE_EXCLUSION)
    return [
      ...(size > LARGE_LAWN
        ? [
            question(
              'lawn-unlikely',
              `${lawn.name} comes to ${told}: are the units right?`,
              path,
              'Check the lengths',
            ),
          ]
        : []),
      ...(size < SMALL_LAWN
        ? [
            question(
              'lawn-unlikely',
              `${lawn.name} comes to only ${told}: are the units right?`,
              path,
              'Check the lengths',
            ),
          ]
        : []),
      ...(exclusion >= 0
        ? [
            question(
              'lawn-unlikely',
              `More than an acre is taken away from ${lawn.name}: is that bed or house really so large?`,
              `lawns.${index}.parts.${exclusion}`,
              'Check what is taken away',
            ),
          ]
        : []),
      ...lawn.strays.map(({ message }) =>
        question('exclusion-astray', `${lawn.name}: ${message}`, path, 'Look at the plan'),
      ),
    ]
  })
}

/** A rate 43.56 times a label's, or a 43.56th of it, and rates that no label gives. */
export function rateQuestions(
  document: ApplicationDocument,
  products: readonly (PlanProduct | undefined)[],
  fields: FieldReader,
): readonly SheetCheck[] {
  return products.flatMap((product, index) => {
    const note = document.products[index]
    if (!product || !note || rateUnitParts(product.rate.unit).per === 'spray') return []
    return otherAreaUnit(product, note, index) ?? unlikelyRate(product, index, fields)
  })
}

/**
 * Recognised where the rate is outside the label's range but inside it once per acre and per 1,000 ft2 are
 * swapped.
 */
function otherAreaUnit(
  { id, name, rate, basis, limits }: PlanProduct,
  note: ProductNote,
  index: number,
): readonly SheetCheck[] | undefined {
  const { high } = limits ?? {}
  const low = limits?.low ?? high
  if (!low || !high || (basis && basis !== 'product')) return undefined
  const [rateParts, lowParts, highParts] = [rate.unit, low.unit, high.unit].map(rateUnitParts)
  if (
    !rateParts ||
    !lowParts ||
    !highParts ||
    rateParts.dimension !== highParts.dimension ||
    lowParts.per === 'spray' ||
    highParts.per === 'spray'
  )
    return undefined
  const typed = rate.value * rateParts.factor
  const range = { low: low.value * lowParts.factor * 0.75, high: high.value * highParts.factor * 1.25 }
  const swapped = [typed / ACRE_IN_THOUSANDS, typed * ACRE_IN_THOUSANDS].find(
    (one) => one >= range.low && one <= range.high,
  )
  if ((typed >= range.low && typed <= range.high) || swapped === undefined) return undefined
  const perAcre = swapped < typed
  const unit = `${rateParts.amountUnit ?? 'lb'}/${perAcre ? 'ac' : '1000 ft2'}` as ProductNote['rate']['unit']
  const value = swapped / rateUnitParts(unit).factor
  const text = formatFigure(value)
  return [
    {
      level: 'stop',
      code: 'rate-other-area-unit',
      productId: id,
      source: 'plausibility, label range',
      message:
        `${name ?? 'This rate'} at ${note.rate.text} ${rate.unit} is ` +
        `${perAcre ? '43.56 times' : 'a 43.56th of'} a rate the label gives: per acre and per 1,000 ft² ` +
        'look swapped.',
      remedies: [
        { label: `Take it as ${text} ${unit}`, path: `products.${index}.rate`, value: { text, unit } },
      ],
    },
  ]
}

function unlikelyRate(product: PlanProduct, index: number, fields: FieldReader): readonly SheetCheck[] {
  const parts = rateUnitParts(product.rate.unit)
  const perArea = product.rate.value * parts.factor
  const mass = parts.dimension === 'mass'
  const path = `products.${index}.rate`
  const told =
    `${formatFigure((perArea * PER_THOUSAND) / amountFactor(mass ? 'lb' : 'gal'))} ` +
    `${mass ? 'lb' : 'gal'} on 1,000 ft²`
  if (perArea > (mass ? IMPOSSIBLE_MASS : IMPOSSIBLE_VOLUME)) {
    fields.wrong(path, `That is ${told}: no label gives such a rate. Check the figure and its unit.`)
    return []
  }
  if (perArea <= (mass ? MUCH_MASS : MUCH_VOLUME)) return []
  return [
    {
      ...question(
        'rate-unlikely',
        `${product.name ?? 'This product'} at ${told} is far above usual rates: is the unit right?`,
        path,
        'Check the rate',
      ),
      productId: product.id,
    },
  ]
}

/** Finished spray so thin or so heavy that the catch or the course is more likely wrong. */
export function carrierQuestions(perArea: number): readonly SheetCheck[] {
  if (perArea >= LEAST_CARRIER && perArea <= MOST_CARRIER) return []
  const told = `${formatFigure((perArea * PER_THOUSAND) / CUBIC_METRES_PER.gal)} gal on 1,000 ft²`
  return [
    question(
      'carrier-unlikely',
      `The calibration comes to ${told}: check the course, the water used and their units.`,
      'spray.calibration.length',
      'Check the course',
    ),
  ]
}

/**
 * Liquid products that leave no room for water.
 * @param volumes m3 of each liquid product per m2
 * @param carrier m3 of spray per m2
 */
export function tankQuestions(volumes: readonly number[], carrier: number): readonly SheetCheck[] {
  const share = volumes.reduce((sum, one) => sum + one, 0) / carrier
  if (share < 1) return []
  return [
    {
      level: 'stop',
      code: 'products-fill-tank',
      source: 'arithmetic',
      message:
        `The liquid products alone are ${formatFigure(share * 100)} % of the finished spray: there is no ` +
        'room for water. Check the rates.',
      remedies: [{ label: 'Check the rates', path: 'products.0.rate' }],
    },
  ]
}
