// @ts-check
import { randomBytes } from 'node:crypto'
import { existsSync, readFileSync, renameSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'

/**
 * @typedef {object} Secrets
 * @property {string} password of the database's role
 * @property {string} session what cookies are sealed with
 * @property {string} ownerCode shown by the first owner of a crew
 */

/** Without letters and digits that are mistaken for each other. */
const CODE_LETTERS = 'ABCDEFGHJKMNPQRSTUVWXYZ23456789'

/**
 * What this installation keeps to itself: made once, each when it is first wanted, readable by us alone.
 * @param {string} data
 * @returns {Secrets}
 */
export function secretsOf(data) {
  const file = join(data, 'secret.json')
  /** @type {Partial<Secrets>} */
  const kept = existsSync(file) ? JSON.parse(readFileSync(file, 'utf8')) : {}
  const secrets = {
    password: kept.password ?? randomBytes(24).toString('base64url'),
    session: kept.session ?? randomBytes(32).toString('base64url'),
    ownerCode: kept.ownerCode ?? code(),
  }
  if (Object.entries(secrets).some(([name, value]) => kept[/** @type {keyof Secrets} */ (name)] !== value)) {
    writeFileSync(`${file}.new`, JSON.stringify(secrets), { mode: 0o600 })
    renameSync(`${file}.new`, file)
  }
  return secrets
}

const code = () =>
  [...randomBytes(12)]
    .map((byte) => CODE_LETTERS[byte % CODE_LETTERS.length])
    .join('')
    .replaceAll(/(.{4})(?=.)/g, '$1-')
