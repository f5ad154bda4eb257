import { organizationOf, repositoriesOf } from '../../../../http/repositoriesOf'
import { readUseQuery, useOf, useCsv } from '../../../../services/use'

/** What was used between two days, by active, product, site, area or person; as JSON or CSV. */
export default defineEventHandler(async (event) => {
  const asked = readUseQuery(getQuery(event), organizationOf(event))
  const use = await useOf(repositoriesOf(event), asked)
  if (asked.format !== 'csv') return use
  setResponseHeaders(event, {
    'content-type': 'text/csv; charset=utf-8',
    'content-disposition': `attachment; filename="use-${asked.from}-${asked.to}.csv"`,
  })
  return useCsv(use)
})
