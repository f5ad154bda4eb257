import { readdirSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { v7 as uuid } from 'uuid'

export interface CrewRoute {
  readonly method: string
  /** Below the crew's address, with ids that lead nowhere. */
  readonly path: string
}

const FOLDER = fileURLToPath(new URL('../../server/api/organizations/[organization]', import.meta.url))

/** Every route under a crew, read from the files that make them: a new one can't be forgotten. */
export const crewRoutes = (): readonly CrewRoute[] =>
  readdirSync(FOLDER, { recursive: true, encoding: 'utf8' })
    .filter((name) => name.endsWith('.ts'))
    .map((name) => {
      const [, path = '', method = ''] = /^(.*)\.(get|put|post|delete)\.ts$/.exec(name) ?? []
      return {
        method: method.toUpperCase(),
        path:
          '/' +
          path
            .replace(/\/?index$/, '')
            .replaceAll('[kind]', 'sites')
            .replaceAll('[day]', '2026-05-06')
            .replaceAll('[id]', uuid()),
      }
    })
