import type { ApplicationDraft } from '../core/draft/applicationShape'

/** The document with another rate of its first product. */
export const withRate = (document: ApplicationDraft, text: string): ApplicationDraft => ({
  ...document,
  products: document.products.map((product, i) =>
    i === 0 ? { ...product, rate: { ...product.rate, text } } : product,
  ),
})
