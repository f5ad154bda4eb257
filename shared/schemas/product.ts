import { DROP_SIZES } from '#core/calibration/dropSize'
import * as v from 'valibot'
import { FORMS, RATE_BASES } from '#core/label/label'
import { TURF_STATES } from '#core/ground/turfStates'
import {
  APPLICATION_METHODS,
  YEAR_PERIODS,
  LINE_FIGURE_NAMES,
  LINE_FIGURES,
  PAPER_KINDS,
  PRODUCT_KINDS,
  type LineFigure,
  type ProductDocument,
} from '#core/label/productDocument'
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
} from '#core/quantity/units'
import { MOVEMENT_KINDS, type MovementKind, type OnHand } from '#core/stock/onHand'
import type { Entered } from '#core/quantity/entered'
import type { AmountUnit } from '#core/quantity/units'
import { Grasses, Share } from './ground'
import { enteredOf, entriesOf } from './quantity'
import { Day, Line, Name, Notes, Uuid, Version } from './texts'

const Rate = enteredOf(RATE_UNITS)
const Amount = enteredOf(AMOUNT_UNITS)
const Time = enteredOf(TIME_UNITS)

/** A schema for every kind of figure that a line may print. */
const BY_KIND = {
  time: v.optional(Time),
  length: v.optional(enteredOf(LENGTH_UNITS)),
  speed: v.optional(enteredOf(SPEED_UNITS)),
  carrier: v.optional(enteredOf(CARRIER_UNITS)),
  temperature: v.optional(enteredOf(TEMPERATURE_UNITS)),
} as const
type KindOf<F extends LineFigure> = (typeof LINE_FIGURES)[F]['kind']
/** One optional field for every figure of the core's table. */
const Figures = v.strictObject(
  entriesOf(LINE_FIGURE_NAMES, (name) => BY_KIND[LINE_FIGURES[name].kind]) as {
    readonly [F in LineFigure]: (typeof BY_KIND)[KindOf<F>]
  },
)

const LineSchema = v.strictObject({
  id: Uuid,
  use: Line,
  basis: v.picklist(RATE_BASES),
  rate: Rate,
  low: Rate,
  high: Rate,
  most: Rate,
  year: Rate,
  repeatFrom: Time,
  repeatTo: Time,
  method: v.optional(v.picklist(APPLICATION_METHODS)),
  grasses: v.optional(Grasses),
  perYear: v.optional(Line),
  inRow: v.optional(Line),
  figures: v.optional(Figures),
  growth: v.optional(v.picklist(TURF_STATES)),
  drops: v.optional(v.picklist(['', ...DROP_SIZES])),
  sparesSown: v.optional(Grasses),
  yearActive: v.optional(Rate),
  period: v.optional(v.picklist(YEAR_PERIODS)),
  heatUnits: v.optional(Line),
})

/** pH of the finished mix, and household measures weighed once: on a label, and in a job that took it. */
export const MixPh = v.strictObject({ from: Line, to: Line, last: v.picklist(['', 'last']) })
export const Measures = v.pipe(
  v.array(v.strictObject({ id: Uuid, tool: Line, marks: Line, holds: Amount })),
  v.maxLength(12),
)

export const ProductDocumentShape = v.strictObject({
  schema: v.literal(1),
  kind: v.picklist(PRODUCT_KINDS),
  form: v.picklist(FORMS),
  registration: Line,
  density: enteredOf(DENSITY_UNITS),
  grain: v.optional(enteredOf(['mm'])),
  analysis: v.strictObject({ n: Share, p2o5: Share, k2o: Share, fe: Share, slowN: Share }),
  actives: v.pipe(
    v.array(v.strictObject({ id: Uuid, name: Line, content: enteredOf(CONTENT_UNITS), group: Line })),
    v.maxLength(8),
  ),
  lines: v.pipe(v.array(LineSchema), v.minLength(1), v.maxLength(40)),
  packages: v.pipe(v.array(v.strictObject({ id: Uuid, size: Amount, price: Line })), v.maxLength(20)),
  reentry: Time,
  reorderAt: Amount,
  signal: v.picklist(['', 'caution', 'warning', 'danger']),
  label: v.picklist(['own', 'sample']),
  notes: Notes,
  harms: v.optional(Grasses),
  shelfLife: v.optional(Time),
  potassium: v.optional(v.picklist(['', 'chloride', 'sulfate'])),
  restrictions: v.optional(Notes),
  nForms: v.optional(v.strictObject({ nitrate: Share, ammonium: Share, urea: Share })),
  coating: v.optional(Line),
  releases: v.optional(Time),
  saltIndex: v.optional(Line),
  ph: v.optional(MixPh),
  measures: v.optional(Measures),
  papers: v.optional(
    v.pipe(v.array(v.strictObject({ id: Uuid, what: v.picklist(PAPER_KINDS), name: Line })), v.maxLength(12)),
  ),
  dials: v.optional(
    v.pipe(v.array(v.strictObject({ id: Uuid, spreader: Line, dial: Line })), v.maxLength(12)),
  ),
})
export const ProductDocumentSchema: v.GenericSchema<ProductDocument> = ProductDocumentShape

export const SaveProductSchema = v.strictObject({
  version: Version,
  name: Name,
  document: ProductDocumentSchema,
})
export type SaveProduct = v.InferOutput<typeof SaveProductSchema>

export interface Product extends SaveProduct {
  readonly id: string
  readonly updatedAt: string
  readonly onHand: readonly OnHand[]
}

/** A movement of stock as it is typed; `used` is booked by runs alone. */
export const NewMovementSchema = v.strictObject({
  id: Uuid,
  kind: v.picklist(MOVEMENT_KINDS.filter((kind) => kind !== 'used')),
  entered: Amount,
  lot: Line,
  remarks: Line,
  on: Day,
})
export type NewMovement = v.InferOutput<typeof NewMovementSchema>

export interface StockMovement {
  readonly id: string
  readonly kind: MovementKind
  readonly dimension: OnHand['dimension']
  /** Signed, kg or m3. */
  readonly amount: number
  readonly entered: Entered<AmountUnit>
  readonly lot: string
  readonly remarks: string
  readonly applicationId: string | null
  readonly on: string
}

/** What planned jobs are going to use of a product, SI. */
export interface PlannedUse {
  readonly dimension: OnHand['dimension']
  readonly amount: number
}

export interface Stock {
  readonly onHand: readonly OnHand[]
  readonly movements: readonly StockMovement[]
}
