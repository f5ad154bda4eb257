export const PRODUCT_KINDS = [
  'fertilizer',
  'iron',
  'fungicide',
  'insecticide',
  'pre-emergent herbicide',
  'post-emergent herbicide',
  'growth regulator',
  'wetting agent',
  'adjuvant',
  'dye',
  'soil conditioner',
] as const
export type ProductKind = (typeof PRODUCT_KINDS)[number]

/**
 * Ways a product goes onto the lawn; the same bottle has one rate through a hose end and another in a tank.
 */
export const APPLICATION_METHODS = ['', 'spread', 'tank', 'hose-end', 'by hand'] as const
export type ApplicationMethod = (typeof APPLICATION_METHODS)[number]

/** A year by the calendar, or any twelve months; blank: unsaid. */
export const YEAR_PERIODS = ['', 'calendar year', 'twelve months'] as const
export type YearPeriod = (typeof YEAR_PERIODS)[number]

/** The shares of an analysis, with their names as a label prints them. */
export const ANALYSIS_PARTS = [
  ['n', 'N'],
  ['p2o5', 'P2O5'],
  ['k2o', 'K2O'],
  ['fe', 'Fe'],
  ['slowN', 'Slow share of N'],
] as const

export const NITROGEN_FORMS = ['nitrate', 'ammonium', 'urea'] as const
export type NitrogenForm = (typeof NITROGEN_FORMS)[number]

export const PAPER_KINDS = ['label', 'safety sheet'] as const
/** A typed count of applications; undefined if blank or none. */
export function countIn(typed: string | undefined): number | undefined {
  const value = Number(typed?.trim())
  return typed?.trim() && Number.isInteger(value) && value > 0 && value < 1000 ? value : undefined
}

/** A typed price; undefined if it is not one. */
export function priceOf(typed: string): number | undefined {
  const value = Number(typed.trim().replaceAll(',', ''))
  return typed.trim() !== '' && Number.isFinite(value) && value > 0 && value < 1e9 ? value : undefined
}
