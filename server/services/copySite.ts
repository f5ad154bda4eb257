import { v5 as derived } from 'uuid'
import type { SaveSite, Site } from '#shared/schemas/ground'
import { failure } from '../http/failure'
import type { Repositories } from '../repositories/forOrganization'
import { saveArea } from './saveArea'
import { saveRow } from './saveRow'

const copied = ({ place, document }: Site, name: string): SaveSite => ({ version: 0, name, place, document })

/**
 * A site again under another name, with its areas as they are measured now; neither its history nor its jobs.
 * Ids follow from the copy's own, so that a repeat finds it made.
 */
export async function copySite(
  repositories: Repositories,
  sourceId: string,
  { id, name }: { readonly id: string; readonly name: string },
  today: string,
): Promise<Site> {
  return repositories.transaction(async (inside) => {
    const source = await inside.sites.find(sourceId)
    if (!source) throw failure('not-found', 'There is no such site.')
    const made = await inside.sites.find(id)
    if (made) return made
    const { row } = await saveRow(inside.sites, id, copied(source, name), {}, 'site')
    for (const area of await inside.areas.list({ siteId: sourceId })) {
      await saveArea(
        inside,
        derived(area.id, id),
        { version: 0, siteId: id, name: area.name, position: area.position, document: area.document },
        today,
      )
    }
    return row
  })
}
