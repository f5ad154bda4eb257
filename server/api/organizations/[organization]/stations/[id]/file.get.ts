import { readId } from '../../../../../http/readBody'
import { repositoriesOf } from '../../../../../http/repositoriesOf'
import { stationFile } from '../../../../../services/season/stationFiles'

/** Its days as CSV or JSON. */
export default defineEventHandler(async (event) => {
  const format = getQuery(event).format === 'json' ? 'json' : 'csv'
  const { type, text, name } = await stationFile(repositoriesOf(event), readId(event), format)
  setResponseHeaders(event, {
    'content-type': type,
    'content-disposition': `attachment; filename*=UTF-8''${encodeURIComponent(`${name}.${format}`)}`,
  })
  return text
})
