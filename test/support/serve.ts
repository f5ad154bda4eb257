import { spawn } from 'node:child_process'
import { setTimeout as wait } from 'node:timers/promises'
import pg from 'pg'
import { inject } from 'vitest'
import { SERVER_ENTRY } from '../../scripts/setup/paths.mjs'
import { freePort } from '../../scripts/setup/settings.mjs'

/** The production server on a fresh database, as the tests drive it. */
export interface Served {
  readonly url: string
  readonly databaseUrl: string
  /** What the server printed, for asserting on its log. */
  readonly log: () => string
  readonly stop: () => Promise<void>
}

/** Makes an empty database in the test cluster. */
export async function freshDatabase(): Promise<string> {
  const adminUrl = inject('adminUrl')
  const name = `t${process.pid}_${Date.now().toString(36)}${Math.floor(Math.random() * 1e6)}`
  await query(adminUrl, `CREATE DATABASE ${name}`)
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

/** @param more what its environment holds besides: a name of its own opens it to other machines */
export async function serve(
  databaseUrl?: string,
  more: Readonly<Record<string, string>> = {},
): Promise<Served> {
  const database = databaseUrl ?? (await freshDatabase())
  const port = await freePort()
  const url = `http://127.0.0.1:${port}`
  let log = ''
  const child = spawn(process.execPath, [SERVER_ENTRY], {
    env: {
      ...process.env,
      NODE_ENV: 'production',
      DATABASE_URL: database,
      PORT: String(port),
      HOST: '127.0.0.1',
      NITRO_PORT: String(port),
      NITRO_HOST: '127.0.0.1',
      ...more,
    },
    stdio: ['ignore', 'pipe', 'pipe'],
  })
  for (const stream of [child.stdout, child.stderr])
    stream.on('data', (chunk: Buffer) => {
      log += chunk.toString()
    })
  for (let tries = 0; ; tries++) {
    if (
      await fetch(`${url}/api/health`).then(
        (answer) => answer.ok,
        () => false,
      )
    )
      break
    if (tries > 200 || child.exitCode !== null) {
      child.kill('SIGKILL')
      throw new Error(`the server did not become healthy:\n${log}`)
    }
    await wait(100)
  }
  return {
    url,
    databaseUrl: database,
    log: () => log,
    stop: async () => {
      child.kill('SIGTERM')
      for (let tries = 0; tries < 100 && child.exitCode === null && child.signalCode === null; tries++)
        await wait(50)
      child.kill('SIGKILL')
    },
  }
}
