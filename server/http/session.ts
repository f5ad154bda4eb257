import type { H3Event } from 'h3'
import { isEncrypted } from './access'

declare module '#auth-utils' {
  interface SecureSessionData {
    sessionId?: string
  }
}

const SESSION_COOKIE = 'hectarum-session'

/** The cookie holds nothing but the id of a session, sealed: ending that session ends it everywhere. */
export async function sessionIdOf(event: H3Event): Promise<string | undefined> {
  if (!event.node.req.headers.cookie?.includes(`${SESSION_COOKIE}=`)) return undefined
  return (await getUserSession(event)).secure?.sessionId
}

/** Lays a new session over whatever was there, so that nobody can plant one beforehand. */
export const keepSession = (event: H3Event, sessionId: string): Promise<unknown> =>
  replaceUserSession(event, { secure: { sessionId } }, { cookie: cookieOf(event) } as never)

export const dropSession = (event: H3Event): Promise<unknown> =>
  clearUserSession(event, { cookie: cookieOf(event) })

/** Scripts can't read it, other sites don't send it; over https it never travels without. */
const cookieOf = (event: H3Event) =>
  ({ httpOnly: true, sameSite: 'strict', path: '/', secure: isEncrypted(event) }) as const
