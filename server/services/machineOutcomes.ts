import type { MachineOutcome } from '#shared/schemas/run'
import { failure } from '../http/failure'
import type { Repositories } from '../repositories/forOrganization'

/** As many as show whether a machine drifts. */
const LAST = 20

/** What the last records of one machine came to against their plans, oldest first. */
export async function machineOutcomes(
  { equipment, records }: Repositories,
  equipmentId: string,
): Promise<readonly MachineOutcome[]> {
  if (!(await equipment.find(equipmentId))) throw failure('not-found', 'There is no such piece of equipment.')
  const found = await records.ofEquipment(equipmentId, LAST)
  return found.toReversed().flatMap(({ id, site, finishedAt, document: { outcomes, frozen } }) =>
    outcomes.flatMap(({ productId, plannedRate, actualRate, deviation, verdict }) =>
      plannedRate && deviation !== undefined && verdict
        ? {
            recordId: id,
            site,
            finishedAt,
            product: frozen.labels.find((label) => label.productId === productId)?.name ?? '',
            plannedRate,
            actualRate,
            deviation,
            verdict,
          }
        : [],
    ),
  )
}
