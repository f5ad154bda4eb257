import { PRODUCT_NOTE_FIELDS } from './applicationFields'
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
  const at = fields.of(PRODUCT_NOTE_FIELDS, path)
  const before = fields.problems.length
  const rate = at.needed('rate', note.rate)
  const density = at.optional('density', note.density)
  const percent = (name: keyof ProductDraft['analysis'], what: string) =>
    at.optional('analysis.*', note.analysis[name], name, what)?.value
  const analysis = {
    n: percent('n', 'N'),
    p2o5: percent('p2o5', 'P2O5'),
    k2o: percent('k2o', 'K2O'),
    fe: percent('fe', 'Fe'),
    slowN: percent('slowN', 'Slow share of N'),
  }
  const content = at.optional('active.content', note.active.content)
  const actives = content && [{ name: note.active.name.trim() || 'active ingredient', content }]
  const held = { id: note.id, ...(actives && { actives }), analysis: definedOnly(analysis) }
  const limit = (name: LimitName) => readLimit(note, held, name, `${path}.${name}`, fields)
  const [low, high, maxPerApplication] = [limit('low'), limit('high'), limit('most')]
  const measureStep = at.optional('step', note.step)
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

type LimitName = 'low' | 'high' | 'most'

/** A limit as product, whatever the label prints it in. */
export function readLimit(
  { limitBasis = 'product', ...note }: Pick<ProductDraft, 'low' | 'high' | 'most' | 'limitBasis'>,
  held: Pick<PlanProduct, 'id' | 'analysis' | 'actives'>,
  name: LimitName,
  path: string,
  fields: FieldReader,
): Rate | undefined {
  const read = fields.optional(path, note[name], PRODUCT_NOTE_FIELDS[name])
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
