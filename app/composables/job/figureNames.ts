import type { Figure } from '#core/working/figures'
import type { FrozenPlan } from '#core/run/runEvent'

/** Loads whose measures have a name of their own. */
const NAMED_LOADS = 20

/** Figures of products and lawns are kept by id; the drawer calls them by name. */
export function figureNames({
  lawns,
  products,
}: {
  readonly lawns: readonly { readonly id: string; readonly name: string }[]
  readonly products: readonly { readonly id: string; readonly name: string }[]
}): ReadonlyMap<Figure, string> {
  return new Map<Figure, string>([
    ...lawns.flatMap(({ id, name }, i) => {
      const called = name || `lawn ${i + 1}`
      return [
        [`lawns.${id}.size`, `Size of ${called}`],
        [`nitrogen.${id}`, `Nitrogen of the year, ${called}`],
        [`p2o5.${id}`, `Phosphate of the year, ${called}`],
        [`k2o.${id}`, `Potash of the year, ${called}`],
        [`cost.area.${id}`, `Product on ${called}, cost`],
        [`rates.${i}.pass`, `Each pass, rate ${i + 1}`],
        [`rates.${i}.dial`, `Dial for rate ${i + 1}`],
      ] as const
    }),
    ...products.flatMap(({ id, name }, i) => {
      const called = name || `product ${i + 1}`
      return [
        [`products.${id}.amount`, `${called}: amount`],
        [`products.${id}.measured`, `${called}: measured`],
        [`products.${id}.charge`, `${called}: charge to the last digit`],
        [`products.${id}.weighIn`, `${called}: to weigh in`],
        [`outcome.${id}`, `${called}: actual rate`],
        [`cost.job.${id}`, `${called}: cost`],
        ...lawns.map(
          (_, rate) => [`outcome.${id}.${rate}`, `${called}, rate ${rate + 1}: actual rate`] as const,
        ),
        ...lawns.map((lawn) => [`left.${id}.${lawn.id}`, `${called} left this year, ${lawn.name}`] as const),
        ...Array.from(
          { length: NAMED_LOADS },
          (_, load) => [`measures.${id}.${load + 1}`, `${called} in load ${load + 1}, in the cup`] as const,
        ),
      ] as const
    }),
  ])
}

/** The same for a plan that was frozen when its run began. */
export const frozenNames = ({ labels, request }: FrozenPlan): ReadonlyMap<Figure, string> =>
  new Map<Figure, string>([
    ...figureNames({
      products: labels.map(({ productId, name }) => ({ id: productId, name })),
      lawns: request.areas.map(({ id, name = '' }) => ({ id, name })),
    }),
    ['run.tank', 'In the tank'],
  ])
