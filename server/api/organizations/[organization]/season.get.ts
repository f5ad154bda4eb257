import type { SeasonPlace } from '#shared/schemas/season'
import { repositoriesOf } from '../../../http/repositoriesOf'

/** Every turf area the crew can look at the season of, by site. */
export default defineEventHandler(async (event): Promise<readonly SeasonPlace[]> => {
  const { areas, sites } = repositoriesOf(event)
  const [list, all] = await Promise.all([areas.list(), sites.list()])
  return all.flatMap(({ id, name }) =>
    list
      .filter(({ siteId, document }) => siteId === id && document.use === 'turf')
      .map((area) => ({ areaId: area.id, area: area.name, siteId: id, site: name })),
  )
})
