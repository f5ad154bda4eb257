import * as v from 'valibot'
import { ProductDocumentSchema } from '#core/label/productShape'
import { AMOUNT_UNITS, type AmountUnit } from '#core/quantity/units'
import type { Entered } from '#core/quantity/entered'
import { enteredOf } from '#core/shape/figures'
import { Day, Line, Name, Uuid, Version } from '#core/shape/texts'
import { MOVEMENT_KINDS, type MovementKind, type OnHand } from '#core/stock/onHand'

export const SaveProductSchema = v.strictObject({
  version: Version,
  name: Name,
  document: ProductDocumentSchema,
})
export type SaveProduct = v.InferOutput<typeof SaveProductSchema>

export interface Product extends SaveProduct {
  readonly id: string
  readonly updatedAt: string
  /** Told where products are listed; of one alone its stock is asked. */
  readonly onHand?: readonly OnHand[]
}

/** A movement of stock as it is typed; `used` is booked by runs alone. */
export const NewMovementSchema = v.strictObject({
  id: Uuid,
  kind: v.picklist(MOVEMENT_KINDS.filter((kind) => kind !== 'used')),
  entered: enteredOf(AMOUNT_UNITS),
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
