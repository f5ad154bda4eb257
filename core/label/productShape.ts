import * as v from 'valibot'
import { DROP_SIZES } from '../calibration/dropSize'
import { GrassesSchema } from '../ground/grassesSchema'
import { TURF_STATES } from '../ground/turfStates'
import {
  AMOUNT_UNITS,
  CARRIER_UNITS,
  CONTENT_UNITS,
  DENSITY_UNITS,
  LENGTH_UNITS,
  RATE_UNITS,
  SPEED_UNITS,
  TEMPERATURE_UNITS,
  TIME_UNITS,
} from '../quantity/units'
import { enteredOf, entriesOf } from '../shape/figures'
import { held, type Held } from '../shape/held'
import { Line, Notes, Uuid } from '../shape/texts'
import { FORMS, RATE_BASES } from './label'
import { APPLICATION_METHODS, PAPER_KINDS, PRODUCT_KINDS, YEAR_PERIODS } from './productDocument'
import { LINE_FIGURE_NAMES, LINE_FIGURES, type LineFigure } from './productFields'

const Rate = enteredOf(RATE_UNITS)
const Amount = enteredOf(AMOUNT_UNITS)
const Time = enteredOf(TIME_UNITS)
const Share = enteredOf(['%'])
const some = <S extends v.GenericSchema>(schema: S, most: number) =>
  v.pipe(v.array(schema), v.maxLength(most))

/** A schema for every kind of figure that a line may print. */
const BY_KIND = {
  time: v.optional(Time),
  length: v.optional(enteredOf(LENGTH_UNITS)),
  speed: v.optional(enteredOf(SPEED_UNITS)),
  carrier: v.optional(enteredOf(CARRIER_UNITS)),
  temperature: v.optional(enteredOf(TEMPERATURE_UNITS)),
} as const
/** One optional field for every figure of the table. */
const FiguresSchema = v.strictObject(
  entriesOf(LINE_FIGURE_NAMES, (name) => BY_KIND[LINE_FIGURES[name].kind]) as {
    readonly [F in LineFigure]: (typeof BY_KIND)[(typeof LINE_FIGURES)[F]['kind']]
  },
)
export type LineFigures = Held<typeof FiguresSchema>

/** One line of a label: a use, its rate, and what limits it. Rates stay in the unit they were printed in. */
const RateLineSchema = v.strictObject({
  id: Uuid,
  use: Line,
  basis: v.picklist(RATE_BASES),
  rate: Rate,
  low: Rate,
  high: Rate,
  /** Most per application, and most in a year. */
  most: Rate,
  year: Rate,
  /**
   * Most of the first active in a year, under whatever name; absent: what the product's own most holds of it.
   */
  yearActive: v.optional(Rate),
  /** What the label means by a year; absent or blank: it does not say. */
  period: v.optional(v.picklist(YEAR_PERIODS)),
  /** Heat units it lasts, °C days. */
  heatUnits: v.optional(Line),
  repeatFrom: Time,
  repeatTo: Time,
  /** Blank: any way. */
  method: v.optional(v.picklist(APPLICATION_METHODS)),
  /** Grasses the line is for; none: all but those the label says it may harm. */
  grasses: v.optional(GrassesSchema),
  /** Most applications in a year, and most one after the other. */
  perYear: v.optional(Line),
  inRow: v.optional(Line),
  /** Growth state of the turf the line is for; blank: any. */
  growth: v.optional(v.picklist(TURF_STATES)),
  /** The finest drops it may be sprayed with; blank or absent: the label does not say. */
  drops: v.optional(v.picklist(['', ...DROP_SIZES])),
  /** Grasses that may be sown within the waits for seed. */
  sparesSown: v.optional(GrassesSchema),
  figures: v.optional(FiguresSchema),
})
export type RateLine = Held<typeof RateLineSchema>

export const AnalysisSchema = v.strictObject({ n: Share, p2o5: Share, k2o: Share, fe: Share, slowN: Share })

/** pH that the finished mix must have, from and to; `last` goes in after the pH was set. */
export const MixPhSchema = v.strictObject({ from: Line, to: Line, last: v.picklist(['', 'last']) })

/** What one level fill of a household measure holds of a product. */
const MeasuredToolSchema = v.strictObject({
  id: Uuid,
  tool: Line,
  /** Marks that divide it evenly; blank or 1: none. */
  marks: Line,
  holds: Amount,
})
export type MeasuredTool = Held<typeof MeasuredToolSchema>
/** A tool of the crew filled level, weighed or measured once for this product. */
export const MeasuresSchema = some(MeasuredToolSchema, 12)

const PackageSchema = v.strictObject({
  id: Uuid,
  size: Amount,
  /** In the crew's currency. */
  price: Line,
})
export type Package = Held<typeof PackageSchema>

/** `id` is the file's own. */
const ProductPaperSchema = v.strictObject({ id: Uuid, what: v.picklist(PAPER_KINDS), name: Line })
export type ProductPaper = Held<typeof ProductPaperSchema>

/** A product as its label has it (trade.md 5). */
export const ProductDocumentSchema = held(
  v.strictObject({
    schema: v.literal(1),
    kind: v.picklist(PRODUCT_KINDS),
    form: v.picklist(FORMS),
    registration: Line,
    density: enteredOf(DENSITY_UNITS),
    /** Middle grain size of a granule; products of like grain share a spreader's curve. */
    grain: v.optional(enteredOf(['mm'])),
    analysis: AnalysisSchema,
    actives: some(
      v.strictObject({ id: Uuid, name: Line, content: enteredOf(CONTENT_UNITS), group: Line }),
      8,
    ),
    lines: v.pipe(v.array(RateLineSchema), v.minLength(1), v.maxLength(40)),
    /** Grasses it may harm. */
    harms: v.optional(GrassesSchema),
    /** How long it keeps, unopened. */
    shelfLife: v.optional(Time),
    /** The salt the potassium comes as. */
    potassium: v.optional(v.picklist(['', 'chloride', 'sulfate'])),
    /** Nitrogen by its form, per cent of all N; together at most 100. */
    nForms: v.optional(v.strictObject({ nitrate: Share, ammonium: Share, urea: Share })),
    /** What slows the nitrogen, and for how long. */
    coating: v.optional(Line),
    releases: v.optional(Time),
    /** Salt index of the product; sodium nitrate is 100. */
    saltIndex: v.optional(Line),
    ph: v.optional(MixPhSchema),
    measures: v.optional(MeasuresSchema),
    /** Dial numbers printed on the package for some machine: guesses, kept as such. */
    dials: v.optional(some(v.strictObject({ id: Uuid, spreader: Line, dial: Line }), 12)),
    /** Where it may not be used, protective equipment, bees: as printed. */
    restrictions: v.optional(Notes),
    packages: some(PackageSchema, 20),
    /** Nobody goes back before this; blank: once dry, as the label says. */
    reentry: Time,
    /** Stock at or under this is to be bought. */
    reorderAt: Amount,
    signal: v.picklist(['', 'caution', 'warning', 'danger']),
    label: v.picklist(['own', 'sample']),
    notes: Notes,
    /** The label and the safety sheet themselves, as files of the crew. */
    papers: v.optional(some(ProductPaperSchema, 12)),
  }),
)
export type ProductDocument = v.InferOutput<typeof ProductDocumentSchema>
