import { failure } from '../../../../../http/failure'
import { readId } from '../../../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../../../http/repositoriesOf'
import { todayFor } from '../../../../../services/clock'
import { SITE_FORMATS, siteFile } from '../../../../../services/siteExport'

/** The areas of a site as GeoJSON, KML, GPX or CSV. */
export default defineEventHandler(async (event) => {
  const id = readId(event)
  const { format: asked } = getQuery(event)
  const format = SITE_FORMATS.find((one) => one === asked)
  if (!format)
    throw failure('invalid', [{ path: 'format', message: `must be one of ${SITE_FORMATS.join(', ')}` }])
  const { sites, areas } = repositoriesOf(event)
  const site = await sites.find(id)
  if (!site) throw failure('not-found', 'There is no such site.')
  const { type, text } = siteFile(
    site,
    await areas.list({ siteId: id }),
    format,
    todayFor(organizationOf(event)),
  )
  const name =
    site.name
      .normalize('NFKD')
      .replaceAll(/[^A-Za-z0-9]+/g, '-')
      .replaceAll(/^-|-$/g, '')
      .toLowerCase() || 'site'
  setResponseHeaders(event, {
    'content-type': type,
    'content-disposition': `attachment; filename="${name}.${format}"`,
  })
  return text
})
