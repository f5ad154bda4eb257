import { APPLICATION_FIELDS } from '../../draft/applicationFields'
import type { ApplicationDraft } from '../../draft/applicationShape'
import { definedOnly, partOf, readLimit, readProducts } from '../../draft/readProducts'
import { doseOf } from '../../label/dose'
import type { AreaRate, PlanProduct } from '../../plan/planRequest'
import type { FieldReader } from '../../quantity/fieldReader'
import { refuseImpossibleRates } from '../../rules/plausibilityRules'

/** What goes down: each product as its label and the draft have it, and rates of single areas. */
export interface RateLink {
  /** In the draft's order; undefined in its place while a rate can't be read. */
  readonly products: readonly (PlanProduct | undefined)[]
  /** Rates of an area's own, by the area's place in the draft. */
  readonly ownRates: readonly (readonly AreaRate[])[]
}

/** Reads every label of a draft; what is wrong lands in the reader's problems. */
export function rateLink(draft: ApplicationDraft, fields: FieldReader): RateLink {
  const products = readProducts(draft.products, fields)
  refuseImpossibleRates(products, draft.products, fields)
  return {
    products,
    ownRates: draft.lawns.map(({ treated }, index) =>
      treated === 'yes' ? ownRates(draft, index, products, fields) : [],
    ),
  }
}

function ownRates(
  { lawns, products }: ApplicationDraft,
  index: number,
  planned: RateLink['products'],
  fields: FieldReader,
): readonly AreaRate[] {
  return products.flatMap((product, at) => {
    const place = lawns[index]?.own?.findIndex((one) => one.product === product.id) ?? -1
    const own = lawns[index]?.own?.[place]
    const path = `lawns.${index}.own.${place}.rate`
    const rate = own && fields.optional(path, own.rate, APPLICATION_FIELDS['lawns.*.own'])
    const read = planned[at]
    const limit = (name: 'low' | 'high' | 'most') =>
      own?.[name] && read ? readLimit({ ...product, [name]: own[name] }, read, name, path, fields) : undefined
    const limits =
      own?.line === undefined
        ? undefined
        : definedOnly({ low: limit('low'), high: limit('high'), maxPerApplication: limit('most') })
    return rate ? [{ id: product.id, rate: partOf(product, rate), ...(limits && { limits }) }] : []
  })
}

/** Kg on each m2 that one of so many passes must put down; undefined for what is not spread by weight. */
export function perPassOf(product: PlanProduct | undefined, passes: number): number | undefined {
  const dose = product && doseOf(product, undefined)
  return dose?.ok && dose.value.dimension === 'mass' ? dose.value.perArea / passes : undefined
}
