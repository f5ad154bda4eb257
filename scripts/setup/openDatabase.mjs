// @ts-check
import { openCluster } from './cluster.mjs'
import { ensurePostgres } from './debian.mjs'
import { checkGivenDatabase } from './givenDatabase.mjs'

/**
 * The database the settings name: the one given, or the private cluster, which is left running if it ran
 * before.
 * @param {import('./settings.mjs').Settings} settings
 * @param {'stop it after' | 'it runs'} cluster
 */
export async function openDatabase(settings, cluster) {
  await ensurePostgres()
  if (settings.databaseUrl) {
    await checkGivenDatabase(settings.databaseUrl)
    return { url: settings.databaseUrl, close: async () => {} }
  }
  const opened = await openCluster(settings)
  return { url: opened.url, close: cluster === 'stop it after' ? opened.stop : async () => {} }
}
