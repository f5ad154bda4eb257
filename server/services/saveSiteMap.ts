import type { Area, SaveSiteMap } from '#shared/schemas/ground'
import { failure } from '../http/failure'
import type { Repositories } from '../repositories/forOrganization'
import { saveArea } from './saveArea'
import { removeRow } from './saveRow'

/**
 * Changes several areas of a site as one: a split, a merge, an arrangement, outlines brought from a file. All
 * of it is done or none; a repeat changes nothing.
 */
export async function saveSiteMap(
  repositories: Repositories,
  siteId: string,
  { areas, removed }: SaveSiteMap,
  today: string,
): Promise<readonly Area[]> {
  const foreign = areas.findIndex((area) => area.siteId !== siteId)
  if (foreign >= 0)
    throw failure('invalid', [{ path: `areas.${foreign}.siteId`, message: 'must be the site of this plan' }])
  return repositories.transaction(async (inside) => {
    if (!(await inside.sites.find(siteId))) throw failure('not-found', 'There is no such site.')
    for (const { id, version } of removed) {
      const there = await inside.areas.find(id)
      if (there && there.siteId !== siteId) throw failure('not-found', 'There is no such area on this site.')
      // Gone already: the retry of a plan whose answer was lost.
      if (there) await removeRow(inside.areas, id, version, 'area')
    }
    const saved: Area[] = []
    for (const { id, ...input } of areas) saved.push(await saveArea(inside, id, input, today))
    return saved
  })
}
