import { failure } from '../../../../../http/failure'
import { readId } from '../../../../../http/readBody'
import { repositoriesOf } from '../../../../../http/repositoriesOf'
import { calibrationFile } from '../../../../../services/calibrationFiles'

const TYPES = { csv: 'text/csv; charset=utf-8', json: 'application/json; charset=utf-8' } as const

/** The calibrations of one machine as CSV or JSON. */
export default defineEventHandler(async (event) => {
  const id = readId(event)
  const { format: asked } = getQuery(event)
  const format = asked === 'csv' || asked === 'json' ? asked : undefined
  if (!format) throw failure('invalid', [{ path: 'format', message: 'must be csv or json' }])
  const { equipment, calibrations } = repositoriesOf(event)
  const machine = await equipment.find(id)
  if (!machine) throw failure('not-found', 'There is no such piece of equipment.')
  setResponseHeaders(event, {
    'content-type': TYPES[format],
    'content-disposition': `attachment; filename="calibrations.${format}"`,
  })
  return calibrationFile(machine, await calibrations.list({ equipmentId: id }), format)
})
