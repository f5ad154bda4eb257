import type { SitePage } from '#shared/schemas/ground'
import { repositoriesOf } from '../../../../http/repositoriesOf'
import { pageOf, readCursor } from '../../../../services/cursor'

const PAGE = 50

/** Sites by name, a page at a time. */
export default defineEventHandler(async (event): Promise<SitePage> => {
  const { q = '', after } = getQuery(event)
  const rows = await repositoriesOf(event).sites.page(String(q).slice(0, 200), {
    limit: PAGE + 1,
    after: readCursor(after, 'word'),
  })
  return pageOf(rows, PAGE, ({ name }) => name.toLowerCase())
})
