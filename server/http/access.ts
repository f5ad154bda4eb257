import { isIP } from 'node:net'
import type { H3Event } from 'h3'
import { mayDo, whoMay, type Deed, type Role } from '#core/people/roles'
import { failure } from './failure'

const LOOPBACK = /^(127(\.\d+){3}|localhost|\[?::1\]?)$/i

/** Whether this server can be reached from other machines, by itself or through a proxy. */
const reachableFromElsewhere = (): boolean =>
  !LOOPBACK.test(process.env.NITRO_HOST ?? process.env.HOST ?? '') || Boolean(process.env.HECTARUM_HOSTS)

/**
 * Whether a request comes from this very machine to a server that listens to nobody else: only then is a crew
 * without people open without signing in.
 */
export function isAtHome(event: H3Event): boolean {
  const { host = '', 'x-forwarded-for': forwarded, forwarded: alike } = event.node.req.headers
  const name = host.replace(/:\d+$/, '')
  return !reachableFromElsewhere() && LOOPBACK.test(name) && forwarded === undefined && alike === undefined
}

/** Whether cookies may only travel encrypted: the request did. */
export const isEncrypted = (event: H3Event): boolean =>
  (event.node.req.socket as { encrypted?: boolean }).encrypted === true ||
  (Boolean(process.env.HECTARUM_HOSTS) && event.node.req.headers['x-forwarded-proto'] === 'https')

/** Fails with `not-allowed` when a role does not do that. */
export function refuseDeed(role: Role, deed: Deed): void {
  if (!mayDo(role, deed))
    throw failure('not-allowed', `You are ${withArticle(role)} here: only ${whoMay(deed)} may do this.`)
}

const withArticle = (role: Role): string => `${/^[ao]/.test(role) ? 'an' : 'a'} ${role}`

/** A name that a foreign server can't point at us: a number, localhost, or one the owner listed. */
export function isOurName(host: string): boolean {
  const name = host
    .replace(/:\d+$/, '')
    .replace(/^\[|\]$/g, '')
    .toLowerCase()
  return (
    isIP(name) !== 0 ||
    name === 'localhost' ||
    (process.env.HECTARUM_HOSTS ?? '')
      .toLowerCase()
      .split(',')
      .map((one) => one.trim())
      .includes(name)
  )
}
