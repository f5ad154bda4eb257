import type { Dimension } from '../quantity/rateUnit'
import { rateUnitParts } from '../quantity/rateUnit'
import type { AmountUnit, VolumeUnit } from '../quantity/units'
import { DENSITY_SI_PER } from '../quantity/units'
import { asEntered } from '../working/figureText'
import { err, ok, type Result } from '../result'
import { NUTRIENT_NAMES, type LabelIssue, type LabelledProduct, type Nutrient } from './label'

/** The sprayed method's carrier: m3 of finished spray on each m2, and the volume unit the user thinks in. */
export interface Carrier {
  readonly perArea: number
  readonly unit: VolumeUnit
}

/** Product on the ground: kg or m3 of product for each m2, and the unit its amounts are told in. */
export interface Dose {
  readonly dimension: Dimension
  readonly perArea: number
  readonly unit: AmountUnit
  /** How the label's rate became product, for the working; empty when it already was product per area. */
  readonly steps: readonly string[]
}

interface ProductPerRate {
  readonly dimension: Dimension
  readonly unit: AmountUnit | undefined
  /** SI product for each SI unit of what the rate counts. */
  readonly factor: number
  readonly steps: readonly string[]
}

/**
 * Product per ground that a label rate calls for.
 * @param carrier undefined for a dry method
 * @returns kg or m3 of product per m2, not rounded; errors `needs-analysis`, `needs-active`, `needs-carrier`.
 * Source: nutrient and active targets are divided by the product's content (proportion).
 * @example 0.6 lb N/1000 ft2 of a 21 % product: 0.6 × 100 / 21 = 2.857 lb of product on 1000 ft2
 */
export function doseOf(product: LabelledProduct, carrier: Carrier | undefined): Result<Dose, LabelIssue> {
  const parts = rateUnitParts(product.rate.unit)
  const counted = productPerRate(product)
  if (!counted.ok) return counted
  const { dimension, factor, steps } = counted.value
  if (parts.per === 'area') {
    const unit = counted.value.unit ?? parts.amountUnit ?? 'kg'
    return ok({ dimension, unit, perArea: product.rate.value * parts.factor * factor, steps })
  }
  if (!carrier) {
    return err({
      code: 'needs-carrier',
      path: 'rate.unit',
      message:
        `A rate in ${product.rate.unit} counts product in the spray: choose a sprayed method with a ` +
        'carrier volume, or a rate per area.',
    })
  }
  return ok({
    dimension,
    unit: counted.value.unit ?? parts.amountUnit ?? carrier.unit,
    perArea: product.rate.value * parts.factor * factor * carrier.perArea,
    steps: [
      ...steps,
      `${asEntered(product.rate)} is product in the finished spray: times the carrier volume`,
    ],
  })
}

function productPerRate(product: LabelledProduct): Result<ProductPerRate, LabelIssue> {
  const basis = product.basis ?? 'product'
  if (basis === 'product') {
    return ok({
      dimension: rateUnitParts(product.rate.unit).dimension,
      unit: undefined,
      factor: 1,
      steps: [],
    })
  }
  return basis === 'active' ? productPerActive(product) : productPerNutrient(product, basis)
}

function productPerNutrient(
  product: LabelledProduct,
  nutrient: Nutrient,
): Result<ProductPerRate, LabelIssue> {
  const percent = product.analysis?.[nutrient] ?? 0
  if (!(percent > 0)) {
    return err({
      code: 'needs-analysis',
      path: `analysis.${nutrient}`,
      message:
        `The rate counts ${NUTRIENT_NAMES[nutrient]}, but the analysis gives none: enter the per cent of ` +
        `${NUTRIENT_NAMES[nutrient]} from the label.`,
    })
  }
  return ok({
    dimension: 'mass',
    unit: undefined,
    factor: 100 / percent,
    steps: [
      `${asEntered(product.rate)} counts ${NUTRIENT_NAMES[nutrient]}: x 100 / ${percent} % gives product`,
    ],
  })
}

function productPerActive(product: LabelledProduct): Result<ProductPerRate, LabelIssue> {
  const active = product.actives?.[0]
  if (!active) {
    return err({
      code: 'needs-active',
      path: 'actives',
      message:
        'The rate counts active ingredient, but none is given: enter its name and content from the label.',
    })
  }
  const { value, unit } = active.content
  const counts = `${asEntered(product.rate)} counts ${active.name}`
  if (unit === '%') {
    return ok({
      dimension: 'mass',
      unit: undefined,
      factor: 100 / value,
      steps: [`${counts}: x 100 / ${value} % gives product`],
    })
  }
  return ok({
    dimension: 'volume',
    unit: unit === 'lb/gal' ? 'gal' : 'L',
    factor: 1 / (value * DENSITY_SI_PER[unit]),
    steps: [`${counts}: / ${value} ${unit} gives product`],
  })
}
