import { Readable } from 'node:stream'
import { organizationOf, repositoriesOf } from '../../../../http/repositoriesOf'
import { todayFor } from '../../../../services/clock'
import { wholeCrewLines } from '../../../../services/wholeCrew'

/** Everything that belongs to the crew, a line of JSON for each row. */
export default defineEventHandler((event) => {
  const organization = organizationOf(event)
  setResponseHeader(event, 'content-type', 'application/x-ndjson; charset=utf-8')
  setResponseHeader(
    event,
    'content-disposition',
    `attachment; filename="crew-${todayFor(organization)}.ndjson"`,
  )
  const stream = Readable.from(wholeCrewLines(repositoriesOf(event), organization))
  // A file that breaks off must not look whole: the connection goes with it.
  stream.once('error', () => event.node.res.destroy())
  return sendStream(event, stream)
})
