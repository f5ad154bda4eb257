import * as v from 'valibot'
import type { RowProblem } from '#core/shape/columns'

/** No table of records is wider, no cell longer. */
const MOST_CELLS = 80
const Cell = v.pipe(v.string(), v.maxLength(4000, 'is too long'))

/** So many rows are taken at a time; a longer file comes in several goes. */
export const EARLIER_ROWS = 200

/** Rows of a table of earlier records, looked at or kept. */
export const EarlierRowsSchema = v.strictObject({
  rows: v.pipe(
    v.array(
      v.pipe(
        v.record(v.string(), Cell),
        v.check(
          (row) => Object.keys(row).length <= MOST_CELLS,
          `must have ${MOST_CELLS} columns at the most`,
        ),
      ),
    ),
    v.minLength(1, 'holds no row'),
    v.maxLength(2 * EARLIER_ROWS, 'holds too many rows for one go'),
  ),
  /** Line of the file the first of them stands on. */
  firstLine: v.pipe(v.number(), v.integer(), v.minValue(1), v.maxValue(1e6)),
  take: v.picklist(['look', 'keep']),
})
export type EarlierRows = v.InferOutput<typeof EarlierRowsSchema>

/** What an earlier record would become, as far as it is known here. */
export interface EarlierShown {
  readonly id: string
  readonly line: number
  readonly finishedAt: string
  /** Nobody noted more than the day. */
  readonly only?: 'day'
  readonly site: string
  readonly products: string
  readonly sizeM2: number
  /** What is not saved with the crew, by name: the record stands all the same. */
  readonly unknown: readonly string[]
  readonly notes: readonly string[]
  readonly state: 'new' | 'here'
}

export interface EarlierReading {
  readonly records: readonly EarlierShown[]
  readonly problems: readonly RowProblem[]
  readonly added: number
}
