import { setCookie, type H3Event } from 'h3'

export const ORGANIZATION_COOKIE = 'hectarum-organization'

const YEAR_SECONDS = 365 * 24 * 3600

/** Remembers the organization in hand; scripts cannot read it, other sites' requests don't carry it. */
export function keepOrganization(event: H3Event, id: string): void {
  setCookie(event, ORGANIZATION_COOKIE, id, {
    httpOnly: true,
    sameSite: 'strict',
    path: '/',
    maxAge: YEAR_SECONDS,
  })
}
