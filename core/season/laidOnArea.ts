import type { Form } from '../label/label'
import type { ProductKind } from '../label/productDocument'
import { daysOf } from '../label/read/readLine'
import { typedFigure, type Entered } from '../quantity/entered'
import type { TimeUnit } from '../quantity/units'
import type { EndingApplication } from './ends'

/** A product that was applied to an area, as the ledger tells it. */
export interface LaidOnArea extends EndingApplication {
  readonly product: string
  readonly active: string
  /** Blank where the product is in no library. */
  readonly kind: ProductKind | ''
  /** Potash on each m2, kg; null where the label does not tell. */
  readonly k2o?: number | null | undefined
}

/** A row of the ledger with what its label says of how long it lasts, as it was typed. */
export interface LaidRow {
  readonly on: string
  readonly product: string
  readonly active: string
  readonly kind: ProductKind | ''
  readonly lastsDays: number | null
  readonly repeatDays: number | null
  /** Kg on each m2; null where the label does not tell. */
  readonly n: number | null
  readonly k2o: number | null
  /** As the application was planned: blank for a rate that is not split. */
  readonly split: string | null
  readonly method: 'spread' | 'spray' | null
  /** Of its product; null where it is in no library. */
  readonly form: Form | null
  readonly slowN: Entered<'%'> | null
  readonly releases: Entered<TimeUnit> | null
  readonly repeats: readonly (Entered<TimeUnit> | null)[] | null
}

/** What of a row the end of the application depends on. */
export function laidOnArea(row: LaidRow): LaidOnArea {
  const { on, product, active, kind, lastsDays, repeatDays, n, k2o } = row
  const releases = typedFigure(row.releases ?? undefined, 'time')
  const slow = typedFigure(row.slowN ?? undefined, 'percent', 'zero-too')
  const repeatFrom = shortestInterval(row.repeats)
  return {
    on,
    product,
    active,
    kind,
    lastsDays,
    repeatTo: repeatDays,
    n,
    k2o,
    ...(repeatFrom !== null && { repeatFrom }),
    ...(row.split && { split: 'half' as const }),
    ...(slow && { slowShare: slow.value / 100 }),
    ...(releases && { releaseDays: daysOf(releases) }),
    sprayed: row.method === 'spray' && row.form !== 'granule',
  }
}

/** The shortest interval that any line of a label prints, d; null where none does. */
export function shortestInterval(repeats: LaidRow['repeats']): number | null {
  const intervals = (repeats ?? []).flatMap((entered) => {
    const read = typedFigure(entered ?? undefined, 'time')
    return read ? [daysOf(read)] : []
  })
  return intervals.length === 0 ? null : Math.min(...intervals)
}
