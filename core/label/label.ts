import type { Quantity } from '../quantity/quantity'
import type { ContentUnit, DensityUnit, RateUnit } from '../quantity/units'

export type Rate = Quantity<RateUnit>

export const RATE_BASES = ['product', 'n', 'p2o5', 'k2o', 'fe', 'active'] as const
/** What a label rate counts: the product itself, one nutrient in it, or its first active ingredient. */
export type RateBasis = (typeof RATE_BASES)[number]

/** What a rate counts, in words. */
export const RATE_BASIS_NAMES: Readonly<Record<RateBasis, string>> = {
  product: 'product',
  n: 'nitrogen (N)',
  p2o5: 'phosphate (P2O5)',
  k2o: 'potash (K2O)',
  fe: 'iron (Fe)',
  active: 'active ingredient',
}

export const NUTRIENTS = ['n', 'p2o5', 'k2o', 'fe'] as const
export type Nutrient = (typeof NUTRIENTS)[number]
/** As labels print them. */
export const NUTRIENT_NAMES: Readonly<Record<Nutrient, string>> = {
  n: 'N',
  p2o5: 'P2O5',
  k2o: 'K2O',
  fe: 'Fe',
}

/** Of what the analysis counts as oxide: the element in it, and its share by mass. Source: trade.md 5. */
const ELEMENTS = {
  p2o5: { name: 'P', share: 0.4364 },
  k2o: { name: 'K', share: 0.8302 },
} as const satisfies Partial<Record<Nutrient, { readonly name: string; readonly share: number }>>
export const elementOf = (nutrient: Nutrient) =>
  nutrient === 'p2o5' || nutrient === 'k2o' ? ELEMENTS[nutrient] : undefined

/** Formulations in the order they go into the tank (trade.md 6); a granule is spread dry. */
export const FORMS = [
  'granule',
  'defoamer',
  'water conditioner',
  'water-soluble bag',
  'wettable powder',
  'dry flowable',
  'suspension',
  'emulsifiable concentrate',
  'solution',
  'drift agent',
  'surfactant',
  'dye',
] as const
export type Form = (typeof FORMS)[number]

/** Guaranteed analysis, per cent by mass; `slowN` is the slow-release share of the nitrogen in per cent. */
interface Analysis {
  readonly n?: number
  readonly p2o5?: number
  readonly k2o?: number
  readonly fe?: number
  readonly slowN?: number
}

interface Active {
  readonly name: string
  readonly content: Quantity<ContentUnit>
}

/** Label limits, always of product, whatever the basis of the rate. */
export interface LabelLimits {
  readonly low?: Rate
  readonly high?: Rate
  readonly maxPerApplication?: Rate
}

/** What the label says of one product that a dose depends on. */
export interface LabelledProduct {
  readonly id: string
  readonly name?: string
  readonly rate: Rate
  readonly basis?: RateBasis
  readonly density?: Quantity<DensityUnit>
  readonly analysis?: Analysis
  readonly actives?: readonly Active[]
  readonly limits?: LabelLimits
}

/** What is missing before a label can be turned into an amount; in the order in which it is asked for. */
export const LABEL_NEEDS = ['needs-analysis', 'needs-active', 'needs-carrier', 'needs-density'] as const
export type LabelNeed = (typeof LABEL_NEEDS)[number]

/** A need, the path inside the product it belongs to, and what would be right. */
export interface LabelIssue {
  readonly code: LabelNeed
  readonly path: string
  readonly message: string
}
