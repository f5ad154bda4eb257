import { createHash } from 'node:crypto'
import { isEncrypted } from '../http/access'

/**
 * The shell's own inline scripts are let through by their hash; nothing else inline, nothing from elsewhere.
 * Styles need 'unsafe-inline' (component libraries set style attributes).
 */
const policyFor = (hashes: readonly string[]) =>
  [
    `default-src 'self'`,
    `script-src 'self' ${hashes.join(' ')}`.trim(),
    `style-src 'self' 'unsafe-inline'`,
    `img-src 'self' data: blob:`,
    `font-src 'self'`,
    `connect-src 'self'`,
    `worker-src 'self' blob:`,
    `object-src 'none'`,
    `base-uri 'none'`,
    `form-action 'self'`,
    `frame-ancestors 'none'`,
  ].join('; ')

const ON_EVERY_ANSWER = [
  ['x-content-type-options', 'nosniff'],
  ['referrer-policy', 'no-referrer'],
  ['cross-origin-opener-policy', 'same-origin'],
  ['content-security-policy', policyFor([])],
] as const

const INLINE_SCRIPT =
  /<script(?![^>]*\ssrc=)(?![^>]*type="(?:application\/json|importmap)")[^>]*>([\s\S]*?)<\/script>/g

const known = new Map<string, string>()

/** Headers on every answer; the page's policy carries the hashes of the scripts that stand in it. */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('request', (event) => {
    const { res } = event.node
    for (const [name, value] of ON_EVERY_ANSWER) res.setHeader(name, value)
    // A browser that came by https once does not come without again.
    if (isEncrypted(event)) res.setHeader('strict-transport-security', 'max-age=31536000')
    if (event.path.startsWith('/api/')) res.setHeader('cache-control', 'no-store')
  })
  if (import.meta.dev) {
    nitro.hooks.hook('request', (event) => {
      event.node.res.removeHeader('content-security-policy')
    })
    return
  }
  nitro.hooks.hook('render:response', (response) => {
    if (typeof response.body !== 'string') return
    const policy =
      known.get(response.body) ??
      policyFor([...response.body.matchAll(INLINE_SCRIPT)].map(([, script]) => hashOf(script ?? '')))
    known.set(response.body, policy)
    const { 'x-powered-by': _, ...headers } = response.headers ?? {}
    response.headers = { ...headers, 'content-security-policy': policy }
  })
})

const hashOf = (script: string): string => `'sha256-${createHash('sha256').update(script).digest('base64')}'`
