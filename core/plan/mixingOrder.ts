import { FORMS, type Form } from '../label/label'
import type { Quantity } from '../quantity/quantity'
import type { VolumeUnit } from '../quantity/units'

/**
 * The order in which products go into the tank, by formulation; equal forms keep the order they were listed
 * in.
 * Source: trade.md 6, mixing order; a label that says otherwise wins.
 */
export const mixingOrder = <P extends { readonly form: Form }>(products: readonly P[]): readonly P[] =>
  products.toSorted((a, b) => FORMS.indexOf(a.form) - FORMS.indexOf(b.form))

interface MixPartner {
  readonly form: Form
  readonly ph?: { readonly from: string; readonly to: string; readonly last: '' | 'last' } | undefined
}

/**
 * The order with its pH step: who goes in before the mix is filled up, the pH it must then have, and who goes
 * in last of all.
 */
export interface MixingSteps<P> {
  readonly before: readonly P[]
  /** Bounds of the finished mix that suit every partner; `none` where they exclude each other. */
  readonly ph:
    | { readonly from: number | undefined; readonly to: number | undefined; readonly state: 'asked' | 'none' }
    | undefined
  readonly after: readonly P[]
}

/**
 * Source: trade.md 6: fill up; measure and set the pH of the finished mix where a partner needs it;
 * pH-triggered adjuvant last.
 */
export function mixingSteps<P extends MixPartner>(products: readonly P[]): MixingSteps<P> {
  const ordered = mixingOrder(products)
  const after = ordered.filter(({ ph }) => ph?.last === 'last')
  const bound = (name: 'from' | 'to') =>
    ordered.flatMap(({ ph }) => (ph?.[name].trim() ? [Number(ph[name])] : [])).filter((value) => value > 0)
  const [lows, highs] = [bound('from'), bound('to')]
  const [from, to] = [
    lows.length > 0 ? Math.max(...lows) : undefined,
    highs.length > 0 ? Math.min(...highs) : undefined,
  ]
  const asked = from !== undefined || to !== undefined || after.length > 0
  return {
    before: ordered.filter((product) => !after.includes(product)),
    after,
    ph: asked
      ? { from, to, state: from !== undefined && to !== undefined && from > to ? 'none' : 'asked' }
      : undefined,
  }
}

/** What goes into the tank before anything else: half of what it is filled to. Source: trade.md 6. */
export const waterToStart = (carrier: Quantity<VolumeUnit>): Quantity<VolumeUnit> => ({
  value: carrier.value / 2,
  unit: carrier.unit,
})

/** The pH of the finished mix as it is told at the tank; undefined where no partner asks for one. */
export function phText(ph: MixingSteps<unknown>['ph']): string | undefined {
  if (!ph) return undefined
  const { from, to, state } = ph
  if (state === 'none') return 'their labels ask for different pH: don’t mix them'
  if (from === undefined && to === undefined) return 'measure it before the last goes in'
  return from === undefined ? `at most ${to}` : to === undefined ? `at least ${from}` : `${from} to ${to}`
}
