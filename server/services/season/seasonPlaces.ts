import type { SeasonPlace } from '#shared/schemas/season'
import type { Repositories } from '../../repositories/forOrganization'

/** Every turf area the crew can look at the season of, by site. */
export async function seasonPlaces({ areas, sites }: Repositories): Promise<readonly SeasonPlace[]> {
  const [list, all] = await Promise.all([areas.list(), sites.list()])
  return all.flatMap(({ id, name }) =>
    list
      .filter(({ siteId, document }) => siteId === id && document.use === 'turf')
      .map((area) => ({ areaId: area.id, area: area.name, siteId: id, site: name })),
  )
}
