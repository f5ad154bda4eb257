import { chmodSync, mkdtempSync, rmSync } from 'node:fs'
import { tmpdir } from 'node:os'
import { join } from 'node:path'
import type { TestProject } from 'vitest/node'
import { openCluster } from '../../scripts/setup/cluster.mjs'

declare module 'vitest' {
  interface ProvidedContext {
    adminUrl: string
  }
}

/** A private cluster of its own for a test project; each test file makes its own database in it. */
export default async function setup(project: TestProject) {
  const data = mkdtempSync(join(tmpdir(), 'hectarum-test-'))
  chmodSync(data, 0o711)
  const cluster = await openCluster({ data, dataGiven: true })
  project.provide('adminUrl', cluster.adminUrl)
  return async () => {
    await cluster.stop()
    rmSync(data, { recursive: true, force: true })
  }
}
