import type { Entered } from '../quantity/entered'
import type { ProductKind } from './productDocument'
import type { ProductDocument } from './productShape'
import { enteredWords } from '../quantity/enteredWords'
import { sentence } from './toldLine'

/** The parts in which a label tells of the product itself. */
export const PRODUCT_SECTIONS = ['feeds', 'actives', 'safety', 'mixing', 'keeping'] as const
export type ProductSection = (typeof PRODUCT_SECTIONS)[number]

/** Kinds whose label prints an analysis of nutrients. */
const FEEDING: readonly ProductKind[] = ['fertilizer', 'iron', 'soil conditioner']
const NUTRIENT_WORDS = { n: 'N', p2o5: 'P2O5', k2o: 'K2O', fe: 'Fe' } as const

/**
 * What a label says of the product itself, in sentences, as typed.
 * @returns a sentence for each part; blank where nothing is said
 */
export const toldProduct = (product: ProductDocument): Readonly<Record<ProductSection, string>> => ({
  feeds: sentence([
    ...(['n', 'p2o5', 'k2o', 'fe'] as const).map((name) =>
      words(`${NUTRIENT_WORDS[name]}`, product.analysis[name]),
    ),
    words('', product.analysis.slowN, 'of the N slow'),
    ...(['nitrate', 'ammonium', 'urea'] as const).map((form) =>
      words(`N as ${form}`, product.nForms?.[form]),
    ),
    product.coating?.trim() && `slowed by ${product.coating.trim()}`,
    words('releases over', product.releases),
    product.potassium && `potassium as ${product.potassium}`,
    product.saltIndex?.trim() && `salt index ${product.saltIndex.trim()}`,
  ]),
  actives: sentence(
    product.actives.map(({ name, content, group }) =>
      [name.trim() || 'unnamed', enteredWords(content), group.trim() && `(group ${group.trim()})`]
        .filter(Boolean)
        .join(' '),
    ),
  ),
  safety: sentence([
    product.signal,
    words('nobody back for', product.reentry),
    product.registration.trim() && `registration ${product.registration.trim()}`,
    product.harms?.length ? `may harm ${product.harms.join(', ')}` : '',
    product.restrictions?.trim(),
  ]),
  mixing: sentence([
    words('density', product.density),
    words('grain', product.grain),
    phWords(product.ph),
    ...(product.measures ?? []).map(({ tool, holds }) => words(`one level ${tool} holds`, holds)),
    ...(product.dials ?? []).map(({ spreader, dial }) => `${spreader} at ${dial} by the package`),
  ]),
  keeping: sentence([words('keeps for', product.shelfLife), words('to be bought at', product.reorderAt)]),
})

/** Whether the label of such a product prints nutrients; what was typed is shown all the same. */
export const printsNutrients = ({ kind, analysis }: ProductDocument): boolean =>
  FEEDING.includes(kind) || Object.values(analysis).some(({ text }) => text.trim() !== '')

function words(before: string, entered: Entered | undefined, after = ''): string {
  const figure = enteredWords(entered)
  return figure && `${before} ${figure} ${after}`.trim()
}

function phWords(ph: ProductDocument['ph']): string {
  const [from, to] = [ph?.from.trim() ?? '', ph?.to.trim() ?? '']
  const range = [from, to].filter(Boolean).join(' to ')
  return range && `pH of the mix ${range}${ph?.last ? ', goes in last' : ''}`
}
