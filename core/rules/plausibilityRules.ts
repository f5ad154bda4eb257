import { formatFigure, formatArea } from '../quantity/format'
import { KILOGRAMS_PER, SQUARE_METRES_PER, CUBIC_METRES_PER } from '../quantity/units'
import { dimensionOf, rateUnitParts } from '../quantity/rateUnit'
import { amountFactor } from '../quantity/quantity'
import type { PlanProduct } from '../plan/planRequest'
import type { ApplicationDraft, ProductDraft } from '../draft/applicationShape'
import type { FieldReader } from '../quantity/fieldReader'
import type { MeasuredArea } from '../draft/measuredArea'
import type { Check } from './check'
import type { RuleReading } from './reading'
import type { Rule } from './rule'

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

const question = (code: Check['code'], message: string, path: string, label: string): Check => ({
  level: 'warn',
  code,
  message,
  source: 'plausibility',
  remedies: [{ label, path }],
})

const sizeTold = (size: number): string =>
  size > LARGE_LAWN
    ? `${formatFigure(size / SQUARE_METRES_PER.ac)} acres`
    : `${formatArea(size / SQUARE_METRES_PER.ft2, 'ft2')} ft²`

/** Sizes that no lawn has go to their field as errors. */
export function refuseImpossibleAreas(lawns: readonly MeasuredArea[], fields: FieldReader): void {
  for (const [index, { name, size }] of lawns.entries()) {
    if (size !== undefined && size > IMPOSSIBLE_LAWN)
      fields.wrong(
        `lawns.${index}.parts.0`,
        `${name} comes to ${sizeTold(size)}: no lawn is that large. Check the lengths and their units.`,
      )
  }
}

/** Lawns and exclusions of a size that is more often a slip of the unit than a lawn. */
function areaQuestions({ areas }: RuleReading): readonly Check[] {
  return areas.flatMap((lawn, index) => {
    const path = `lawns.${index}.parts.0`
    const { size } = lawn
    if (size === undefined || size > IMPOSSIBLE_LAWN) return []
    const exclusion = lawn.parts.findIndex((part) => part.sign === 'subtract' && part.flat > LARGE_EXCLUSION)
    return [
      ...(size > LARGE_LAWN
        ? [
            question(
              'lawn-unlikely',
              `${lawn.name} comes to ${sizeTold(size)}: are the units right?`,
              path,
              'Check the lengths',
            ),
          ]
        : []),
      ...(size < SMALL_LAWN
        ? [
            question(
              'lawn-unlikely',
              `${lawn.name} comes to only ${sizeTold(size)}: are the units right?`,
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
function rateQuestions({ draft, products }: RuleReading): readonly Check[] {
  return products.flatMap((product, index) => {
    const note = draft.products[index]
    if (!product || !note || rateUnitParts(product.rate.unit).per === 'spray') return []
    return otherAreaUnit(product, note, index) ?? unlikelyRate(product, index)
  })
}

/**
 * Recognised where the rate is outside the label's range but inside it once per acre and per 1,000 ft2 are
 * swapped.
 */
function otherAreaUnit(
  { id, name, rate, basis, limits }: PlanProduct,
  note: ProductDraft,
  index: number,
): readonly Check[] | undefined {
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
  const unit =
    `${rateParts.amountUnit ?? 'lb'}/${perAcre ? 'ac' : '1000 ft2'}` as ProductDraft['rate']['unit']
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

const rateTold = (perArea: number, mass: boolean): string =>
  `${formatFigure((perArea * PER_THOUSAND) / amountFactor(mass ? 'lb' : 'gal'))} ` +
  `${mass ? 'lb' : 'gal'} on 1,000 ft²`

/** Kg or m3 of product on each m2; undefined for a rate in spray, which is of no area. */
function onGround({ rate }: PlanProduct): { readonly perArea: number; readonly mass: boolean } | undefined {
  const { per, dimension, factor } = rateUnitParts(rate.unit)
  return per === 'spray' ? undefined : { perArea: rate.value * factor, mass: dimension === 'mass' }
}

const isImpossible = (perArea: number, mass: boolean) =>
  perArea > (mass ? IMPOSSIBLE_MASS : IMPOSSIBLE_VOLUME)

/**
 * Rates that no label gives go to their field as errors; those of a swapped area unit are asked about
 * instead.
 */
export function refuseImpossibleRates(
  products: readonly (PlanProduct | undefined)[],
  notes: readonly ProductDraft[],
  fields: FieldReader,
): void {
  for (const [index, product] of products.entries()) {
    const [note, ground] = [notes[index], product && onGround(product)]
    if (!product || !note || !ground || !isImpossible(ground.perArea, ground.mass)) continue
    if (otherAreaUnit(product, note, index) === undefined)
      fields.wrong(
        `products.${index}.rate`,
        `That is ${rateTold(ground.perArea, ground.mass)}: no label gives such a rate. Check the ` +
          'figure and ' +
          'its unit.',
      )
  }
}

function unlikelyRate(product: PlanProduct, index: number): readonly Check[] {
  const ground = onGround(product)
  if (!ground) return []
  const { perArea, mass } = ground
  const [path, told] = [`products.${index}.rate`, rateTold(perArea, mass)]
  if (isImpossible(perArea, mass)) return []
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
function carrierQuestions({ draft, calibration }: RuleReading): readonly Check[] {
  if (!isWet(draft) || !calibration) return []
  const { perPass: perArea } = calibration
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

/** A mix heavier than the water it was calibrated with. */
function heavyFindings({ heavy }: RuleReading): readonly Check[] {
  if (!heavy) return []
  const less = `${formatFigure(Math.abs(100 * heavy.change))} % ${heavy.change < 0 ? 'less' : 'more'}`
  return [
    {
      level: 'note',
      code: 'mix-heavy',
      source: 'density of the products',
      message:
        `The finished spray weighs ${formatFigure(heavy.gravity)} kg/L: nozzles calibrated with water give ` +
        `${less} of it. Carrier and loads are put right for that.`,
      working: 'carrier.heavy',
      remedies: [],
    },
  ]
}

/** Work through a tank, whose carrier was caught or timed; a hose end draws its own. */
const isWet = ({ method, spray }: ApplicationDraft) =>
  method === 'spray' && spray.calibration.by !== 'hose-end'

/** Liquid products that leave no room for water. */
function tankQuestions({ draft, calibration, plan }: RuleReading): readonly Check[] {
  if (!isWet(draft) || !calibration || !plan) return []
  const volume = plan.totals.products
    .filter(({ amount }) => dimensionOf(amount.unit) === 'volume')
    .reduce((sum, { amount }) => sum + amount.value * amountFactor(amount.unit), 0)
  const share = volume / plan.totals.size.value / calibration.perPass
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

export const PLAUSIBILITY_RULES: readonly Rule[] = [
  {
    needs: 'reading',
    codes: ['lawn-unlikely', 'exclusion-astray'],
    level: 'warn; over 2,000 acres an error of the field',
    looksAt: 'the size of every area and of what is taken away from it',
    limit: '20 ft² to 20 acres; an acre taken away',
    source: 'plausibility',
    find: areaQuestions,
  },
  {
    needs: 'reading',
    codes: ['rate-other-area-unit', 'rate-unlikely'],
    level: 'stop where the area units look swapped, else warn; ten times as much an error of the field',
    looksAt: 'every rate against its label range, and against usual rates',
    limit: 'a factor of 43.56; 50 lb or 1 gal on 1,000 ft²',
    source: 'plausibility, label range',
    find: rateQuestions,
  },
  {
    needs: 'reading',
    codes: ['carrier-unlikely'],
    level: 'warn',
    looksAt: 'the spray that the calibration comes to',
    limit: '0.1 to 12 gal on 1,000 ft²',
    source: 'plausibility',
    find: carrierQuestions,
  },
  {
    needs: 'reading',
    codes: ['mix-heavy'],
    level: 'note',
    looksAt: 'how heavy the finished spray is beside the water it was calibrated with',
    limit: '1 % of the carrier',
    source: 'density of the products',
    find: heavyFindings,
  },
  {
    needs: 'reading',
    codes: ['products-fill-tank'],
    level: 'stop',
    looksAt: 'all liquid products against the finished spray',
    limit: 'less than the whole of it',
    source: 'arithmetic',
    find: tankQuestions,
  },
]
