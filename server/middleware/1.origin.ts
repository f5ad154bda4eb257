import { ATTACHMENT_TYPES } from '#shared/schemas/picture'
import { isOurName } from '../http/access'
import { COMPUTING_PATHS } from '../endpoints/all'
import { failure } from '../http/failure'

/**
 * Refuses pages of other origins and names that a foreign server could point at us (DNS rebinding): an
 * address must be a number, localhost or a name given in HECTARUM_HOSTS. Writes must be JSON, so that no
 * plain form can make one.
 */
export default defineEventHandler((event) => {
  const path = event.path.split('?')[0] ?? ''
  if (!path.startsWith('/api/') || COMPUTING_PATHS.has(path)) return
  if (/%00/.test(event.path)) throw failure('invalid', 'An address holds no NUL character.')
  const host = getRequestHeader(event, 'host') ?? ''
  if (!isOurName(host))
    throw failure(
      'foreign-origin',
      'This name is not one this server answers to; add it to HECTARUM_HOSTS if it is yours.',
    )
  if (event.method === 'GET' || event.method === 'HEAD') return
  const origin = getRequestHeader(event, 'origin')
  const site = getRequestHeader(event, 'sec-fetch-site')
  if (
    (origin !== undefined && hostOf(origin) !== host) ||
    (site !== undefined && site !== 'same-origin' && site !== 'none')
  ) {
    throw failure('foreign-origin', 'A page of another origin can’t write here.')
  }
  const type = getRequestHeader(event, 'content-type') ?? ''
  // The own type of a picture or a paper, like JSON's, is one no plain form can send.
  if (/^\/api\/organizations\/[^/]+\/attachments\//.test(path) && ATTACHMENT_TYPES.includes(type)) return
  if (!/^application\/json\b/i.test(type)) throw failure('media-type', 'Writes are sent as application/json.')
})

function hostOf(origin: string): string {
  try {
    return new URL(origin).host
  } catch {
    return ''
  }
}
