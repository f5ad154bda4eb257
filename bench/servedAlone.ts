import { chmodSync, mkdtempSync, readFileSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import { ensureBuilt } from '../scripts/setup/build.mjs'
import { openCluster } from '../scripts/setup/cluster.mjs'
import { ensurePostgres } from '../scripts/setup/debian.mjs'
import { startServer, type Served } from '../test/support/server'

/** The built server on a cluster of its own; both are gone when the work is done. */
export async function servedAlone(work: (served: Served) => Promise<void>): Promise<void> {
  await ensurePostgres()
  await ensureBuilt()
  const data = mkdtempSync(join(tmpdir(), 'hectarum-alone-'))
  chmodSync(data, 0o711)
  const cluster = await openCluster({ data, dataGiven: true })
  try {
    const served = await startServer(cluster.url)
    try {
      await work(served)
    } finally {
      await served.stop()
    }
  } finally {
    await cluster.stop()
    rmSync(data, { recursive: true, force: true, maxRetries: 20, retryDelay: 200 })
  }
}

/** What a process holds in memory now, MB. */
export function residentMb(pid: number): number {
  const [, kilobytes = '0'] = /VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${pid}/status`, 'utf8')) ?? []
  return Math.round(Number(kilobytes) / 1024)
}
