import { typedFigure } from '../../quantity/entered'
import type { ApplicationDraft } from '../../draft/applicationShape'
import { rateUnitParts } from '../../quantity/rateUnit'

/**
 * The most a label of the application allows over what is meant: 1.25 where a quarter more is still inside.
 * Of several products the one that allows least.
 * @returns undefined where no label names a most that counts what its rate counts
 */
export function labelMost({ products }: Pick<ApplicationDraft, 'products'>): number | undefined {
  const shares = products.flatMap(({ rate, most, basis, limitBasis = 'product' }) => {
    const [meant, limit] = [typedFigure(rate, 'rate'), typedFigure(most, 'rate')]
    if (!meant || !limit || basis !== limitBasis) return []
    const [one, other] = [rateUnitParts(meant.unit), rateUnitParts(limit.unit)]
    if (one.dimension !== other.dimension || one.per !== other.per) return []
    return [(limit.value * other.factor) / (meant.value * one.factor)]
  })
  return shares.length > 0 ? Math.min(...shares) : undefined
}
