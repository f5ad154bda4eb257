import { v7 as uuid } from 'uuid'
import { readArea } from '#core/ground/areaDocument'
import { fieldReader } from '#core/quantity/fieldReader'
import { closedWorkingBook } from '#core/working/working'
import type { Area, SaveArea } from '#shared/schemas/ground'
import { failure } from '../http/failure'
import type { Repositories } from '../repositories/forOrganization'
import { groundAhead } from './groundThread'
import { saveRow } from './saveRow'

/** Measures the area again on the server, and keeps every size it has had. Run it inside a transaction. */
export async function saveArea(
  { areas, sites }: Repositories,
  id: string,
  input: SaveArea,
  today: string,
): Promise<Area> {
  await groundAhead([input.document], today)
  const { size, sd } = readArea(input.document, input.name, today, fieldReader(), closedWorkingBook)
  if (!(await sites.find(input.siteId))) throw failure('not-found', 'There is no such site.')
  const before = await areas.find(id)
  const { row, written } = await saveRow(areas, id, input, { sizeM2: size ?? null, sdM2: sd ?? null }, 'area')
  if (written && size !== undefined && sd !== undefined && before?.sizeM2 !== size) {
    const { instrument, tool, parts, slope } = input.document
    await areas.addSize({
      id: uuid(),
      areaId: id,
      on: today,
      sizeM2: size,
      sdM2: sd,
      notes: { instrument, ...(tool && { tool }), parts, slope },
    })
  }
  return row
}
