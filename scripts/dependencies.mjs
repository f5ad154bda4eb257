// @ts-check
import { readFileSync } from 'node:fs'
import { join } from 'node:path'
import { PROJECT } from './setup/paths.mjs'

/**
 * Looks through the lock file without a network: every package by hash, from the registry, under a licence we
 * know; scripts of packages stay off; every direct dependency says in docs/dependencies.json what it is for.
 */
const REGISTRY = /^https:\/\/registry\.npmjs\.org\//
const LICENCES = new RegExp(
  '^\\(?(MIT|ISC|Apache-2\\.0|BSD-[23]-Clause|0BSD|BSL-1\\.0|CC0-1\\.0|CC-BY-[34]\\.0|OFL-1\\.1|' +
    'BlueOak-1\\.0\\.0|Unlicense|Python-2\\.0|MPL-2\\.0)\\b',
)

/** Misspelt in its own file; read in its LICENSE. */
const READ_BY_HAND = new Map([['splaytree-ts', 'BSD-3-Clause']])
/** States no licence in its package; comes with Nuxt UI for its drawer, which we don't use. */
const UNSTATED = new Set(['vaul-vue'])

/** @param {string} file */
const json = (file) => JSON.parse(readFileSync(join(PROJECT, file), 'utf8'))

/** @type {string[]} */
const wrong = []
const { packages } = json('package-lock.json')
for (const [path, { resolved, integrity, license, link, inBundle }] of Object.entries(packages)) {
  const name = path.replace(/^.*node_modules\//, '')
  if (path === '' || link || inBundle) continue
  // Without an address npm asks the registry; the hash tells whether it gave the right thing.
  if (resolved && !REGISTRY.test(resolved)) wrong.push(`${name}: comes from ${resolved}`)
  if (!/^sha(384|512)-/.test(integrity ?? '')) wrong.push(`${name}: has no hash in the lock file`)
  if (!LICENCES.test(READ_BY_HAND.get(name) ?? license ?? '') && !UNSTATED.has(name))
    wrong.push(`${name}: licence ${license ?? 'none'}`)
}
if (!/^ignore-scripts=true$/m.test(readFileSync(join(PROJECT, '.npmrc'), 'utf8')))
  wrong.push('.npmrc: ignore-scripts=true is missing')

const { dependencies, devDependencies } = json('package.json')
const direct = { ...dependencies, ...devDependencies }
/** @type {Record<string, { version: string, for: string }>} */
const reviewed = json('docs/dependencies.json')
for (const [name, version] of Object.entries(direct)) {
  if (!reviewed[name]?.for) wrong.push(`${name}: docs/dependencies.json does not say what it is for`)
  else if (reviewed[name].version !== version)
    wrong.push(`${name}: reviewed at ${reviewed[name].version}, used at ${version}`)
}
for (const name of Object.keys(reviewed)) if (!(name in direct)) wrong.push(`${name}: reviewed, but not used`)

console.info(
  wrong.length === 0 ? `${Object.keys(packages).length - 1} packages are in order.` : wrong.join('\n'),
)
process.exit(wrong.length === 0 ? 0 : 1)
