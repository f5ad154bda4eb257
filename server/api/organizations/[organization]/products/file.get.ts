import { failure } from '../../../../http/failure'
import { repositoriesOf } from '../../../../http/repositoriesOf'
import { productFile } from '../../../../services/productFiles'

const TYPES = { csv: 'text/csv; charset=utf-8', json: 'application/json; charset=utf-8' } as const

/** The product shelf as CSV or JSON. */
export default defineEventHandler(async (event) => {
  const { format: asked } = getQuery(event)
  const format = asked === 'csv' || asked === 'json' ? asked : undefined
  if (!format) throw failure('invalid', [{ path: 'format', message: 'must be csv or json' }])
  setResponseHeaders(event, {
    'content-type': TYPES[format],
    'content-disposition': `attachment; filename="products.${format}"`,
  })
  return productFile(await repositoriesOf(event).products.list(), format)
})
