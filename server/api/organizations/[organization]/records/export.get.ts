import { Readable } from 'node:stream'
import { failure } from '../../../../http/failure'
import { organizationOf, repositoriesOf } from '../../../../http/repositoriesOf'
import { todayFor } from '../../../../services/clock'
import { recordsCsv, recordsGeoJson, recordsJson } from '../../../../services/recordExport'
import { readRecordQuery } from '../../../../services/recordList'

const FORMATS = {
  csv: { type: 'text/csv; charset=utf-8', write: recordsCsv },
  json: { type: 'application/json; charset=utf-8', write: recordsJson },
  geojson: { type: 'application/geo+json', write: recordsGeoJson },
} as const
const isFormat = (asked: unknown): asked is keyof typeof FORMATS =>
  typeof asked === 'string' && Object.hasOwn(FORMATS, asked)

/** The records asked for as a file, streamed. */
export default defineEventHandler((event) => {
  const query = getQuery(event)
  const { format } = query
  if (!isFormat(format))
    throw failure('invalid', [{ path: 'format', message: 'must be csv, json or geojson' }])
  const asked = readRecordQuery(query)
  const organization = organizationOf(event)
  setResponseHeader(event, 'content-type', FORMATS[format].type)
  setResponseHeader(
    event,
    'content-disposition',
    `attachment; filename="records-${todayFor(organization)}.${format}"`,
  )
  const stream = Readable.from(FORMATS[format].write(repositoriesOf(event), organization, asked))
  // A file that breaks off must not look whole: the connection goes with it.
  stream.once('error', () => event.node.res.destroy())
  return sendStream(event, stream)
})
