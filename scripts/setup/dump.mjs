// @ts-check
import { existsSync, readdirSync } from 'node:fs'
import { join } from 'node:path'
import { mustRun } from './command.mjs'
import { postgresBin, postgresVersions } from './debian.mjs'
import { PROJECT } from './paths.mjs'
import { Stop } from './say.mjs'

/** @param {string} name of a program that comes with PostgreSQL */
function program(name) {
  const [version] = postgresVersions()
  if (!version)
    throw new Stop('PostgreSQL’s programs are missing: install Debian’s package postgresql and try again.')
  return join(postgresBin(version), name)
}

/**
 * The whole database as it stands at one moment, while it goes on running.
 * @param {string} url
 * @param {string} file
 */
export const dumpDatabase = (url, file) =>
  mustRun(
    'Dumping the database',
    program('pg_dump'),
    ['--format=custom', '--no-owner', '--no-privileges', `--file=${file}`, url],
    { cwd: '/' },
  )

/** @param {string} file @param {string} url of an empty database */
export const loadDump = (file, url) =>
  mustRun(
    'Loading the dump',
    program('pg_restore'),
    ['--no-owner', '--no-privileges', '--exit-on-error', `--dbname=${url}`, file],
    { cwd: '/' },
  )

/**
 * How many people can sign in; none in a database from before there were any.
 * @param {string} url
 */
export async function countPeople(url) {
  const { default: pg } = await import('pg')
  const client = new pg.Client({ connectionString: url })
  await client.connect()
  try {
    const { rows } = await client.query(`SELECT to_regclass('public.people') IS NOT NULL AS there`)
    if (!rows[0]?.there) return 0
    const counted = await client.query('SELECT count(*)::int AS n FROM people')
    return Number(counted.rows[0]?.n ?? 0)
  } finally {
    await client.end()
  }
}

/**
 * How far a database's schema is behind this version: migrations it has, and migrations there are. Undefined
 * for one that holds nothing yet.
 * @param {string} url
 */
export async function schemaStanding(url) {
  const folder = join(PROJECT, 'server', 'database', 'migrations')
  const known = existsSync(folder)
    ? readdirSync(folder).filter((name) => /^\d{3}-.*\.ts$/.test(name)).length
    : 0
  const { default: pg } = await import('pg')
  const client = new pg.Client({ connectionString: url })
  await client.connect()
  try {
    const { rows } = await client.query(`SELECT to_regclass('public.migrations') IS NOT NULL AS there`)
    if (!rows[0]?.there) return undefined
    const {
      rows: [count],
    } = await client.query('SELECT count(*)::int AS n FROM migrations')
    return { has: Number(count?.n ?? 0), known }
  } finally {
    await client.end()
  }
}
