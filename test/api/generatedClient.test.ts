import { mkdtempSync, rmSync, writeFileSync } from 'node:fs'
import { join } from 'node:path'
import { pathToFileURL } from 'node:url'
import openapiTS, { astToString } from 'openapi-typescript'
import ts from 'typescript'
import { expect, test } from 'vitest'
import { PROJECT } from '../../scripts/setup/paths.mjs'
import { serve } from '../support/serve'

/** What somebody else writes against our description: from the crew to a site kept, read and deleted. */
const JOURNEY = `
import createClient from 'openapi-fetch'
import type { paths } from './api'

export async function journey(baseUrl: string, id: string): Promise<string[]> {
  const api = createClient<paths>({ baseUrl })
  const crews = await api.GET('/api/organizations')
  const organization: string = crews.data!.current.id
  const crew = { params: { path: { organization } } }
  const today = await api.GET('/api/organizations/{organization}/today', crew)
  const path = { organization, id }
  const body = {
    version: 0,
    name: 'Gate house',
    place: 'Quay 2',
    document: { schema: 1 as const, contact: '', notices: '', water: '', notes: '' },
  }
  const saved = await api.PUT('/api/organizations/{organization}/library/sites/{id}', {
    params: { path },
    body,
  })
  const all = await api.GET('/api/organizations/{organization}/sites', {
    params: { path: { organization }, query: { q: 'gate' } },
  })
  const version: number = saved.data!.version
  const gone = await api.DELETE('/api/organizations/{organization}/library/sites/{id}', {
    params: { path },
    body: { version },
  })
  const never = await api.GET('/api/organizations/{organization}/library/sites/{id}', { params: { path } })
  return [
    today.data!.day,
    saved.data!.name,
    ...all.data!.rows.map((row) => row.name),
    gone.data!.id,
    never.error!.error.code,
  ]
}
`

test('a client made of the description compiles, and keeps a site', async () => {
  const served = await serve()
  const folder = mkdtempSync(join(PROJECT, '.cache', 'client-'))
  try {
    const api = astToString(await openapiTS(new URL(`${served.url}/api/openapi.json`)))
    writeFileSync(join(folder, 'api.ts'), api)
    writeFileSync(join(folder, 'journey.ts'), JOURNEY)
    const program = ts.createProgram({
      rootNames: [join(folder, 'journey.ts')],
      options: {
        strict: true,
        skipLibCheck: true,
        target: ts.ScriptTarget.ES2023,
        module: ts.ModuleKind.ESNext,
        moduleResolution: ts.ModuleResolutionKind.Bundler,
        lib: ['lib.es2023.d.ts', 'lib.dom.d.ts', 'lib.dom.iterable.d.ts'],
        types: [],
        outDir: folder,
        rootDir: folder,
      },
    })
    const wrong = ts.getPreEmitDiagnostics(program)
    expect(wrong.map(({ messageText }) => ts.flattenDiagnosticMessageText(messageText, '\n'))).toEqual([])
    program.emit()
    writeFileSync(join(folder, 'package.json'), '{ "type": "module" }')
    const { journey } = (await import(pathToFileURL(join(folder, 'journey.js')).href)) as {
      journey: (url: string, id: string) => Promise<string[]>
    }
    const id = '01890000-0000-7000-8000-00000000c11e'
    expect(await journey(served.url, id)).toEqual(['2026-05-06', 'Gate house', 'Gate house', id, 'not-found'])
  } finally {
    rmSync(folder, { recursive: true, force: true })
    await served.stop()
  }
})
