// @ts-check
import { spawn } from 'node:child_process'
import { openCluster } from './setup/cluster.mjs'
import { ensurePostgres } from './setup/debian.mjs'
import { checkGivenDatabase } from './setup/givenDatabase.mjs'
import { checkNode, ensurePackages } from './setup/packages.mjs'
import { PROJECT } from './setup/paths.mjs'
import { runMain } from './setup/say.mjs'
import { secretsOf } from './setup/secrets.mjs'
import { readSettings } from './setup/settings.mjs'

/** The development server, with hot reload, on the same private cluster that `npm start` uses. */
await runMain(async () => {
  checkNode()
  const settings = readSettings()
  await ensurePackages()
  if (settings.databaseUrl) await checkGivenDatabase(settings.databaseUrl)
  else await ensurePostgres()
  const cluster = settings.databaseUrl ? undefined : await openCluster(settings)
  const secrets = secretsOf(settings.data)
  const child = spawn('npx', ['nuxt', 'dev', '--host', settings.host, '--port', String(settings.port)], {
    cwd: PROJECT,
    stdio: 'inherit',
    env: {
      ...process.env,
      DATABASE_URL: cluster?.url ?? settings.databaseUrl,
      HOST: settings.host,
      NUXT_SESSION_PASSWORD: secrets.session,
      HECTARUM_OWNER_CODE: secrets.ownerCode,
    },
  })
  for (const signal of /** @type {const} */ (['SIGINT', 'SIGTERM']))
    process.on(signal, () => child.kill(signal))
  child.once('exit', async (code) => {
    await cluster?.stop()
    process.exit(code ?? 0)
  })
})
