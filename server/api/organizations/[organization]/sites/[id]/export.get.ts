import { failure } from '../../../../../http/failure'
import { readId } from '../../../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../../../http/repositoriesOf'
import { requestSignal } from '../../../../../http/requestSignal'
import { todayFor } from '../../../../../services/clock'
import { groundAhead } from '../../../../../services/groundThread'
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
  const today = todayFor(organizationOf(event))
  const rows = await areas.list({ siteId: id })
  await groundAhead(
    rows.map(({ document }) => document),
    today,
    requestSignal(event),
  )
  const { type, text } = siteFile(site, rows, format, today)
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
