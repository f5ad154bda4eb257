import pg from 'pg'
import { inject } from 'vitest'
import { startServer, type Served } from './server'

/** Makes an empty database in the test cluster. */
export function freshDatabase(): Promise<string> {
  return makeDatabase('')
}

async function makeDatabase(source: string): Promise<string> {
  const adminUrl = inject('adminUrl')
  const name = `t${process.pid}_${Date.now().toString(36)}${Math.floor(Math.random() * 1e6)}`
  await query(adminUrl, `CREATE DATABASE ${name} ${source}`)
  return adminUrl.replace(/\/postgres$/, `/${name}`)
}

/** One statement on a connection of its own. */
export async function query(url: string, sql: string, values: unknown[] = []): Promise<pg.QueryResult> {
  const client = new pg.Client({ connectionString: url })
  await client.connect()
  try {
    return await client.query(sql, values)
  } finally {
    await client.end()
  }
}

/**
 * A server on the database that is given, or on a copy of the one with the sample in it.
 * @param more what its environment holds besides: a name of its own opens it to other machines
 */
export async function serve(
  databaseUrl?: string,
  more: Readonly<Record<string, string>> = {},
): Promise<Served> {
  return startServer(databaseUrl ?? (await makeDatabase(`TEMPLATE ${inject('sampleDatabase')}`)), more)
}
