import { typedFigure } from '../quantity/entered'
import { isOver } from '../quantity/tolerance'
import type { Entered } from '../quantity/entered'

/** Grains whose middle sizes differ by no more than this run through a gate alike (house default). */
const LIKE_GRAIN = 0.15

export interface Grained {
  readonly name: string
  readonly document: {
    readonly grain?: Entered<'mm'>
    readonly dials?: readonly { readonly spreader: string; readonly dial: string }[]
  }
}

const sizeOf = ({ document: { grain } }: Grained): number | undefined => typedFigure(grain, 'grain')?.value

/**
 * Products whose grain is like that of the one named, itself left out; none while a size is not known.
 * Source: trade.md 3, a setting curve is of one product or of products of like grain size.
 */
export function likeGrain(products: readonly Grained[], name: string): readonly string[] {
  const same = (other: string) => other.trim().toLowerCase() === name.trim().toLowerCase()
  const own = products.find((product) => same(product.name))
  const size = own && sizeOf(own)
  if (size === undefined) return []
  return products.flatMap((product) => {
    const other = sizeOf(product)
    return !same(product.name) &&
      other !== undefined &&
      !isOver(Math.abs(Math.log(other / size)), Math.log(1 + LIKE_GRAIN))
      ? [product.name]
      : []
  })
}
