import { typedFigure } from '#core/quantity/entered'
import { celsius } from '#core/quantity/temperature'
import type { Probe, SaveProbe } from '#shared/schemas/weather'
import { failure } from '../http/failure'
import type { Repositories } from '../repositories/forOrganization'
import { saveRow } from './saveRow'

/** A reading that can't be read yet is kept without its figure. Run it inside a transaction. */
export async function saveProbe(
  { probes, areas }: Pick<Repositories, 'probes' | 'areas'>,
  id: string,
  input: SaveProbe,
): Promise<Probe> {
  if (!(await areas.find(input.areaId))) throw failure('not-found', 'There is no such area.')
  const { on, soil } = input.document
  const read = typedFigure(soil, 'temperature', 'any-sign')
  const derived = { onDay: on || null, soil: read ? celsius(read) : null }
  return (await saveRow(probes, id, input, derived, 'reading')).row
}
