import type { ApplicationDraft } from '../draft/applicationShape'
import type { Nutrient } from '../label/label'
import type { Plan } from '../plan/plan'
import type { PlanRequest } from '../plan/planRequest'
import { amountFactor, densitySi } from '../quantity/quantity'
import { dimensionOf } from '../quantity/rateUnit'
import type { PlannedRow } from '../season/ledger'

/** One application that is planned and not done, as the ledger would tell it once it is. */
export interface PlannedApplication {
  readonly applicationId: string
  readonly draft: ApplicationDraft
  readonly request: PlanRequest
  readonly plan: Plan
  /** YYYY-MM-DD. */
  readonly on: string
}

/** Its rows, one for each area and product; only areas that were taken from a saved site. Amounts SI. */
export function plannedRows(
  { applicationId, draft, request, plan, on }: PlannedApplication,
  planned: PlannedRow['planned'],
  order: PlannedRow['order'],
): readonly PlannedRow[] {
  return plan.areas.flatMap(({ id, size, products }) =>
    products.flatMap(({ id: productId, amount }): PlannedRow[] => {
      const note = draft.products.find((one) => one.id === productId)
      const product = request.products.find((one) => one.id === productId)
      if (!note || !product) return []
      const dimension = dimensionOf(amount.unit)
      const si = amount.value * amountFactor(amount.unit)
      const mass = dimension === 'mass' ? si : product.density && si * densitySi(product.density)
      const { analysis } = product
      const kg = (nutrient: Nutrient) => {
        const percent = analysis?.[nutrient] ?? 0
        return percent === 0 ? 0 : mass === undefined ? null : (mass * percent) / 100
      }
      const n = kg('n')
      return [
        {
          applicationId,
          areaId: id,
          product: note.name,
          sourceId: note.source?.id ?? null,
          active: note.active.name,
          groups: note.active.group ?? '',
          on,
          dimension,
          amount: si,
          sizeM2: size.value,
          n,
          p2o5: kg('p2o5'),
          k2o: kg('k2o'),
          quickN: n === null ? null : n * (1 - (analysis?.slowN ?? 0) / 100),
          planned,
          order,
        },
      ]
    }),
  )
}
