import { FORMS, type Form } from '../label/label'

/**
 * The order in which products go into the tank, by formulation; equal forms keep the order they were listed in.
 * Source: trade.md 6, mixing order; a label that says otherwise wins.
 */
export const mixingOrder = <P extends { readonly form: Form }>(products: readonly P[]): readonly P[] =>
  products.toSorted((a, b) => FORMS.indexOf(a.form) - FORMS.indexOf(b.form))
