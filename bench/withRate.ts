import type { ApplicationDocument } from '../core/jobsheet/document'

/** The document with another rate of its first product. */
export const withRate = (document: ApplicationDocument, text: string): ApplicationDocument => ({
  ...document,
  products: document.products.map((product, i) =>
    i === 0 ? { ...product, rate: { ...product.rate, text } } : product,
  ),
})
