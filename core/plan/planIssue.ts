import type { LabelNeed } from '../label/label'

/** Why nothing can be planned; `invalid` is the asker's mistake, the others name what is missing. */
type PlanIssueCode = 'invalid' | LabelNeed | 'too-many-loads'

/** Where in what was asked: rows by their place in their list, fields dotted below them. */
export type PlanPlace =
  | { readonly whole: '' | 'areas' | 'products' }
  | { readonly area: number; readonly field: string }
  | { readonly area: number; readonly rate: number; readonly field: string }
  | { readonly product: number; readonly field: string }
  | { readonly method: 'tank' | 'dead' | 'loads' }

export interface PlanIssue {
  readonly code: PlanIssueCode
  readonly place: PlanPlace
  /** What is wrong and what would be right. */
  readonly message: string
}

/**
 * A place as the public contract writes it.
 * @example pathOf({ product: 0, field: 'rate.unit' }) // 'products.0.rate.unit'
 */
export function pathOf(place: PlanPlace): string {
  if ('whole' in place) return place.whole
  if ('method' in place) return `method.${place.method}`
  if ('product' in place) return `products.${place.product}.${place.field}`
  return 'rate' in place
    ? `areas.${place.area}.rates.${place.rate}.${place.field}`
    : `areas.${place.area}.${place.field}`
}
