import { spawn } from 'node:child_process'
import { setTimeout as wait } from 'node:timers/promises'
import { SERVER_ENTRY } from '../../scripts/setup/paths.mjs'
import { freePort } from '../../scripts/setup/settings.mjs'

/** The production server on a database of its own, as the tests drive it. */
export interface Served {
  readonly url: string
  readonly databaseUrl: string
  /** What the server printed, for asserting on its log. */
  readonly log: () => string
  readonly pid: number
  readonly stop: () => Promise<void>
}

/** Making the sample takes some ten seconds, and several times that beside two busy browsers. */
const HEALTHY_WITHIN_MS = 100_000

/** @param more what its environment holds besides: a name of its own opens it to other machines */
export async function startServer(
  databaseUrl: string,
  more: Readonly<Record<string, string>> = {},
  at?: number,
): Promise<Served> {
  const port = at ?? (await freePort())
  const url = `http://127.0.0.1:${port}`
  let log = ''
  const child = spawn(process.execPath, [SERVER_ENTRY], {
    env: {
      ...process.env,
      NODE_ENV: 'production',
      DATABASE_URL: databaseUrl,
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
  const begun = performance.now()
  for (;;) {
    if (
      await fetch(`${url}/api/health`).then(
        (answer) => answer.ok,
        () => false,
      )
    )
      break
    if (performance.now() - begun > HEALTHY_WITHIN_MS || child.exitCode !== null) {
      child.kill('SIGKILL')
      throw new Error(`the server did not become healthy:\n${log}`)
    }
    await wait(100)
  }
  return {
    url,
    databaseUrl,
    log: () => log,
    pid: child.pid ?? 0,
    stop: async () => {
      child.kill('SIGTERM')
      for (let tries = 0; tries < 100 && child.exitCode === null && child.signalCode === null; tries++)
        await wait(50)
      child.kill('SIGKILL')
    },
  }
}
