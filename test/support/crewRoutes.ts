import { v7 as uuid } from 'uuid'
import type { Deed } from '../../core/people/roles'
import type { Client } from './client'

export interface DeclaredRoute {
  readonly method: 'GET' | 'PUT' | 'POST' | 'DELETE'
  /** With what varies in braces; of a crew's, below the crew. */
  readonly path: string
  readonly deed: Deed | undefined
}

/** Every route as the server itself describes it: a new one can't be forgotten. */
async function declaredRoutes(client: Client): Promise<readonly DeclaredRoute[]> {
  const { paths } = (await client.get('/api/openapi.json')).body as {
    paths: Readonly<Record<string, Readonly<Record<string, { readonly 'x-deed'?: Deed }>>>>
  }
  return Object.entries(paths).flatMap(([path, operations]) =>
    Object.entries(operations).map(([method, { 'x-deed': deed }]) => ({
      method: method.toUpperCase() as DeclaredRoute['method'],
      path,
      deed,
    })),
  )
}

/** Those under a crew, their paths without the crew's own part. */
export const crewRoutes = async (client: Client): Promise<readonly DeclaredRoute[]> =>
  (await declaredRoutes(client)).flatMap((route) =>
    route.deed ? [{ ...route, path: route.path.replace('/api/organizations/{organization}', '') }] : [],
  )

/** A path with an id that leads nowhere, or to one thing. */
export const withId = (path: string, id: string = uuid()): string =>
  path.replace('{id}', id).replace('{day}', '2026-05-06')
