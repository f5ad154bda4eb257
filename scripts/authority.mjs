// @ts-check
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs'
import { isIP } from 'node:net'
import { hostname, networkInterfaces } from 'node:os'
import { join } from 'node:path'
import { checkNode, ensurePackages } from './setup/packages.mjs'
import { runMain, say } from './setup/say.mjs'
import { readSettings } from './setup/settings.mjs'

const DAY_MS = 24 * 3600 * 1000
const AUTHORITY_YEARS = 10
/** Phones refuse certificates that run longer. */
const SERVER_DAYS = 396

/**
 * `npm run authority [-- name or address ...]`: a small authority of one's own and a certificate of this
 * server by it. The authority is installed on the phones once; the certificate is made anew as often as one
 * likes.
 */
await runMain(async () => {
  checkNode()
  await ensurePackages()
  const { generate } = (await import('selfsigned')).default
  const { data } = readSettings()
  const folder = join(data, 'tls')
  mkdirSync(folder, { recursive: true, mode: 0o700 })
  const file = (/** @type {string} */ name) => join(folder, name)

  if (!existsSync(file('authority.crt'))) {
    const made = await generate([{ name: 'commonName', value: `Hectarum on ${hostname()}` }], {
      keyType: 'ec',
      algorithm: 'sha256',
      notAfterDate: new Date(Date.now() + AUTHORITY_YEARS * 365 * DAY_MS),
      extensions: [
        { name: 'basicConstraints', cA: true, pathLenConstraint: 0, critical: true },
        { name: 'keyUsage', keyCertSign: true, cRLSign: true, critical: true },
      ],
    })
    writeFileSync(file('authority.key'), made.private, { mode: 0o600 })
    writeFileSync(file('authority.crt'), made.cert)
  }
  const names = process.argv.length > 2 ? process.argv.slice(2) : [hostname(), 'localhost', ...addresses()]
  const made = await generate([{ name: 'commonName', value: names[0] ?? 'localhost' }], {
    keyType: 'ec',
    algorithm: 'sha256',
    notAfterDate: new Date(Date.now() + SERVER_DAYS * DAY_MS),
    ca: {
      key: readFileSync(file('authority.key'), 'utf8'),
      cert: readFileSync(file('authority.crt'), 'utf8'),
    },
    extensions: [
      { name: 'basicConstraints', cA: false, critical: true },
      { name: 'keyUsage', digitalSignature: true, critical: true },
      { name: 'extKeyUsage', serverAuth: true },
      {
        name: 'subjectAltName',
        altNames: names.map((name) => (isIP(name) ? { type: 7, ip: name } : { type: 2, value: name })),
      },
    ],
  })
  writeFileSync(file('server.key'), made.private, { mode: 0o600 })
  writeFileSync(file('server.crt'), made.cert)
  say(
    [
      `Certificate for ${names.join(', ')}.`,
      `1. Install ${file('authority.crt')} on each phone as a certificate authority (never the .key).`,
      '2. Start with these:',
      `   HOST=0.0.0.0 HECTARUM_TLS_CERT=${file('server.crt')} \\`,
      `   HECTARUM_TLS_KEY=${file('server.key')} npm start`,
    ].join('\n'),
  )
})

/** The addresses this machine has on its networks. */
function addresses() {
  return Object.values(networkInterfaces())
    .flatMap((list) => list ?? [])
    .filter(({ internal, family }) => !internal && family === 'IPv4')
    .map(({ address }) => address)
}
