import * as v from 'valibot'
import { USE_KEYS, type UseHeading, type UseKey } from '#core/run/use/useReport'
import { BlankOrDay } from '#core/shape/texts'

/** What a report of use is asked for; blank days: from the year's beginning, up to today. */
export const UseQuerySchema = v.object({
  by: v.optional(v.picklist(USE_KEYS), 'active'),
  from: v.optional(BlankOrDay, ''),
  to: v.optional(BlankOrDay, ''),
  format: v.optional(v.picklist(['json', 'csv']), 'json'),
})

/** What was used between two days, both counted, YYYY-MM-DD. */
export interface Use {
  readonly by: UseKey
  readonly from: string
  readonly to: string
  readonly headings: readonly UseHeading[]
}
