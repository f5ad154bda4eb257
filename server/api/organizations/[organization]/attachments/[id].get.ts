import { failure } from '../../../../http/failure'
import { readId } from '../../../../http/readBody'
import { repositoriesOf } from '../../../../http/repositoriesOf'

/** A picture's bytes; it never changes, so a browser may keep it. */
export default defineEventHandler(async (event) => {
  const picture = await repositoriesOf(event).attachments.bytes(readId(event))
  if (!picture) throw failure('not-found', 'There is no such picture.')
  setResponseHeaders(event, {
    'content-type': picture.type,
    'x-content-type-options': 'nosniff',
    etag: `"${picture.digest}"`,
    'cache-control': 'private, max-age=31536000, immutable',
  })
  return picture.bytes
})
