import { RATE_BASIS_NAMES, type Rate } from '../label/label'
import { limitAsProduct } from '../label/limitAsProduct'
import type { PlanProduct } from '../plan/planRequest'
import type { ProductDraft } from './applicationShape'
import type { FieldReader } from '../quantity/fieldReader'

/** Reads every label of a document; a product whose rate cannot be read yet is undefined, in its place. */
export function readProducts(
  products: readonly ProductDraft[],
  fields: FieldReader,
): readonly (PlanProduct | undefined)[] {
  return products.map((note, index) => asPlanProduct(note, `products.${index}`, fields))
}

/** Reads one label; undefined until its rate can be read and nothing on it is wrong. */
export function asPlanProduct(
  note: ProductDraft,
  path: string,
  fields: FieldReader,
): PlanProduct | undefined {
  const before = fields.problems.length
  const rate = fields.positive(`${path}.rate`, note.rate, 'rate', 'Rate')
  const density = fields.optional(`${path}.density`, note.density, 'density', 'Density', 'above-zero')
  const percent = (name: keyof ProductDraft['analysis'], what: string) =>
    fields.optional(`${path}.analysis.${name}`, note.analysis[name], 'percent', what, 'zero-too')?.value
  const analysis = {
    n: percent('n', 'N'),
    p2o5: percent('p2o5', 'P2O5'),
    k2o: percent('k2o', 'K2O'),
    fe: percent('fe', 'Fe'),
    slowN: percent('slowN', 'Slow share of N'),
  }
  const content = fields.optional(
    `${path}.active.content`,
    note.active.content,
    'content',
    'Active content',
    'above-zero',
  )
  const actives = content && [{ name: note.active.name.trim() || 'active ingredient', content }]
  const held = { id: note.id, ...(actives && { actives }), analysis: definedOnly(analysis) }
  const limit = (name: 'low' | 'high' | 'most', what: string) =>
    readLimit(note, held, { path: `${path}.${name}`, name, what }, fields)
  const low = limit('low', 'Lowest rate')
  const high = limit('high', 'Highest rate')
  const maxPerApplication = limit('most', 'Most per application')
  const measureStep = fields.optional(`${path}.step`, note.step, 'amount', 'Measuring step', 'above-zero')
  if (!rate || fields.problems.slice(before).some((problem) => problem.kind === 'wrong')) return undefined
  return {
    id: note.id,
    name: note.name.trim() || `Product ${path.split('.')[1] === '0' ? 1 : Number(path.split('.')[1]) + 1}`,
    rate: partOf(note, rate),
    basis: note.basis,
    ...(density && { density }),
    ...(Object.values(analysis).some((value) => value !== undefined) && { analysis: definedOnly(analysis) }),
    ...(actives && { actives }),
    limits: definedOnly({ low, high, maxPerApplication }),
    ...(measureStep && { measureStep }),
  }
}

/** Where a limit stands and what it is called. */
interface LimitField {
  readonly path: string
  readonly name: 'low' | 'high' | 'most'
  readonly what: string
}

/** A limit as product, whatever the label prints it in. */
export function readLimit(
  { limitBasis = 'product', ...note }: Pick<ProductDraft, 'low' | 'high' | 'most' | 'limitBasis'>,
  held: Pick<PlanProduct, 'id' | 'analysis' | 'actives'>,
  { path, name, what }: LimitField,
  fields: FieldReader,
): Rate | undefined {
  const read = fields.optional(path, note[name], 'rate', what, 'above-zero')
  const product = read && limitAsProduct(held, read, limitBasis)
  if (read && !product)
    fields.wrong(
      path,
      `This limit counts ${RATE_BASIS_NAMES[limitBasis]}: enter how much of it the product holds.`,
    )
  return product
}

/**
 * A listed amount shared over two dates goes down by halves; one that is repeated goes down whole each time.
 */
export const partOf = (
  { split }: Pick<ProductDraft, 'split'>,
  rate: PlanProduct['rate'],
): PlanProduct['rate'] =>
  split === 'share' || split === 'share-second' ? { value: rate.value / 2, unit: rate.unit } : rate

export function definedOnly<T extends object>(record: T): T {
  return Object.fromEntries(Object.entries(record).filter(([, value]) => value !== undefined)) as T
}
