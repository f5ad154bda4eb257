import type { DropSize } from '../calibration/dropSize'
import type { Entered } from '../quantity/entered'
import type { GrassName } from '../ground/grasses'
import type { TurfState } from '../ground/turfStates'
import type { Kind, KindUnits } from '../quantity/parseQuantity'
import type { AmountUnit, ContentUnit, DensityUnit, RateUnit, TimeUnit } from '../quantity/units'
import type { Form, RateBasis } from './label'

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

/**
 * The figures a line may print beside its rate, each with what it measures and its name; a table, so that
 * form, schema and reader agree.
 */
export const LINE_FIGURES = {
  carrierFrom: { kind: 'carrier', unit: 'gal/1000 ft2', what: 'Spray from' },
  carrierTo: { kind: 'carrier', unit: 'gal/1000 ft2', what: 'Spray to' },
  lead: { kind: 'time', unit: 'd', what: 'Works after' },
  lasts: { kind: 'time', unit: 'd', what: 'Lasts' },
  seedAfter: { kind: 'time', unit: 'd', what: 'Wait after seeding' },
  seedBefore: { kind: 'time', unit: 'd', what: 'No seeding for' },
  rainfast: { kind: 'time', unit: 'h', what: 'Rainfast after' },
  waterDepth: { kind: 'length', unit: 'in', what: 'Water in by' },
  waterWithin: { kind: 'time', unit: 'h', what: 'within' },
  mowBefore: { kind: 'time', unit: 'h', what: 'No mowing before' },
  mowAfter: { kind: 'time', unit: 'h', what: 'No mowing after' },
  rakeAfter: { kind: 'time', unit: 'd', what: 'No raking, coring for' },
  windMost: { kind: 'speed', unit: 'mph', what: 'Wind up to' },
  buffer: { kind: 'length', unit: 'ft', what: 'Buffer to water' },
  soilFrom: { kind: 'temperature', unit: '°F', what: 'Soil from' },
  soilTo: { kind: 'temperature', unit: '°F', what: 'Soil up to' },
  airMost: { kind: 'temperature', unit: '°F', what: 'Air up to' },
} as const satisfies Readonly<
  Record<string, { readonly kind: Kind; readonly unit: string; readonly what: string }>
>
export type LineFigure = keyof typeof LINE_FIGURES
export const LINE_FIGURE_NAMES = Object.keys(LINE_FIGURES) as readonly LineFigure[]
export type LineFigures = {
  readonly [F in LineFigure]?: Entered<KindUnits[(typeof LINE_FIGURES)[F]['kind']]>
}

/** One line of a label: a use, its rate, and what limits it. Rates stay in the unit they were printed in. */
export interface RateLine {
  readonly id: string
  readonly use: string
  readonly basis: RateBasis
  readonly rate: Entered<RateUnit>
  readonly low: Entered<RateUnit>
  readonly high: Entered<RateUnit>
  /** Most per application, and most in a year. */
  readonly most: Entered<RateUnit>
  readonly year: Entered<RateUnit>
  /**
   * Most of the first active in a year, under whatever name; absent: what the product's own most holds of it.
   */
  readonly yearActive?: Entered<RateUnit>
  /** What the label means by a year; absent or blank: it does not say. */
  readonly period?: YearPeriod
  /** Heat units it lasts, °C days. */
  readonly heatUnits?: string
  readonly repeatFrom: Entered<TimeUnit>
  readonly repeatTo: Entered<TimeUnit>
  /** Blank: any way. */
  readonly method?: ApplicationMethod
  /** Grasses the line is for; none: all but those the label says it may harm. */
  readonly grasses?: readonly GrassName[]
  /** Most applications in a year, and most one after the other. */
  readonly perYear?: string
  readonly inRow?: string
  /** Growth state of the turf the line is for; blank: any. */
  readonly growth?: TurfState
  /** The finest drops it may be sprayed with; blank or absent: the label does not say. */
  readonly drops?: '' | DropSize
  /** Grasses that may be sown within the waits for seed. */
  readonly sparesSown?: readonly GrassName[]
  readonly figures?: LineFigures
}

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

/** What one level fill of a household measure holds of a product. */
export interface MeasuredTool {
  readonly id: string
  readonly tool: string
  /** Marks that divide it evenly; blank or 1: none. */
  readonly marks: string
  readonly holds: Entered<AmountUnit>
}

interface PrintedDial {
  readonly id: string
  readonly spreader: string
  readonly dial: string
}

export interface Package {
  readonly id: string
  readonly size: Entered<AmountUnit>
  /** In the crew's currency. */
  readonly price: string
}

/** A product as its label has it (trade.md 5). */
export interface ProductDocument {
  readonly schema: 1
  readonly kind: ProductKind
  readonly form: Form
  readonly registration: string
  readonly density: Entered<DensityUnit>
  /** Middle grain size of a granule; products of like grain share a spreader's curve. */
  readonly grain?: Entered<'mm'>
  readonly analysis: Readonly<Record<'n' | 'p2o5' | 'k2o' | 'fe' | 'slowN', Entered<'%'>>>
  readonly actives: readonly {
    readonly id: string
    readonly name: string
    readonly content: Entered<ContentUnit>
    readonly group: string
  }[]
  readonly lines: readonly RateLine[]
  /** Grasses it may harm. */
  readonly harms?: readonly GrassName[]
  /** How long it keeps, unopened. */
  readonly shelfLife?: Entered<TimeUnit>
  /** The salt the potassium comes as. */
  readonly potassium?: '' | 'chloride' | 'sulfate'
  /** Nitrogen by its form, per cent of all N; together at most 100. */
  readonly nForms?: Readonly<Record<NitrogenForm, Entered<'%'>>>
  /** What slows the nitrogen, and for how long. */
  readonly coating?: string
  readonly releases?: Entered<TimeUnit>
  /** Salt index of the product; sodium nitrate is 100. */
  readonly saltIndex?: string
  /** pH that the finished mix must have, from and to; `last` goes in after the pH was set. */
  readonly ph?: { readonly from: string; readonly to: string; readonly last: '' | 'last' }
  /** A tool of the crew filled level, weighed or measured once for this product. */
  readonly measures?: readonly MeasuredTool[]
  /** Dial numbers printed on the package for some machine: guesses, kept as such. */
  readonly dials?: readonly PrintedDial[]
  /** Where it may not be used, protective equipment, bees: as printed. */
  readonly restrictions?: string
  readonly packages: readonly Package[]
  /** Nobody goes back before this; blank: once dry, as the label says. */
  readonly reentry: Entered<TimeUnit>
  /** Stock at or under this is to be bought. */
  readonly reorderAt: Entered<AmountUnit>
  readonly signal: '' | 'caution' | 'warning' | 'danger'
  readonly label: 'own' | 'sample'
  readonly notes: string
  /** The label and the safety sheet themselves, as files of the crew. */
  readonly papers?: readonly ProductPaper[]
}

export const PAPER_KINDS = ['label', 'safety sheet'] as const
export interface ProductPaper {
  /** The file's own id. */
  readonly id: string
  readonly what: (typeof PAPER_KINDS)[number]
  readonly name: string
}

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
