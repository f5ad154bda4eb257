// @ts-check
import { Stop } from './say.mjs'

/** @type {Readonly<Record<string, string>>} */
const SENTENCES = {
  ECONNREFUSED: 'nothing answers at its address: is the server running, and is the port right?',
  ENOTFOUND: 'its host name is not known: check it for a slip.',
  EAI_AGAIN: 'its host name can’t be looked up: check it, and the network.',
  ETIMEDOUT: 'its address does not answer: check host and port.',
  '28P01': 'its password is refused.',
  28000: 'its user may not connect from here.',
  '3D000': 'its database does not exist: make it first, or correct the name.',
}

/**
 * Refuses a DATABASE_URL that leads nowhere, before anything is built or served.
 * @param {string} url
 */
export async function checkGivenDatabase(url) {
  const { default: pg } = await import('pg')
  const client = new pg.Client({ connectionString: url, connectionTimeoutMillis: 8000 })
  try {
    await client.connect()
  } catch (error) {
    const { code = '', message = '' } = /** @type {{ code?: string, message?: string }} */ (error)
    throw new Stop(`DATABASE_URL can't be used: ${SENTENCES[code] ?? message}`)
  } finally {
    await client.end().catch(() => undefined)
  }
}
