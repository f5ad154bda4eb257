import * as v from 'valibot'
import { LIBRARY_KINDS, RemoveSchema, type LibraryKind } from '#shared/schemas/library'
import { defineCrewRoute, found, type Route } from '../http/defineRoute'
import { LIBRARY } from '../services/library'

const Ids = v.optional(v.union([v.string(), v.array(v.string())]))

/** Rows that people edit: a list and five deeds for each kind. */
export const LIBRARY_ROUTES: readonly Route[] = LIBRARY_KINDS.flatMap(routesOf)

function routesOf(kind: LibraryKind): readonly Route[] {
  const { schema, what, list, find, save, remove, restore } = LIBRARY[kind]
  const path = `/library/${kind}` as const
  return [
    defineCrewRoute({
      path: `GET ${path}`,
      summary: `Every ${what}`,
      query: v.object({ siteId: Ids, equipmentId: Ids, areaId: Ids }),
      handle: ({ repositories, query }) => list(repositories, query),
    }),
    defineCrewRoute({
      path: `GET ${path}/:id`,
      summary: `One ${what}`,
      handle: async ({ repositories, id }) => found(await find(repositories, id), what),
    }),
    defineCrewRoute({
      path: `PUT ${path}/:id`,
      summary: `Save a ${what}; 409 carries the row that is stored`,
      body: schema,
      fails: [409],
      handle: ({ repositories, id, body, today }) => save(repositories, id, body, today),
    }),
    defineCrewRoute({
      path: `DELETE ${path}/:id`,
      summary: `Delete a ${what}`,
      body: RemoveSchema,
      fails: [409],
      handle: async ({ repositories, id, body: { version } }) => {
        await repositories.transaction((inside) => remove(inside, id, version))
        return { id }
      },
    }),
    defineCrewRoute({
      path: `POST ${path}/:id/restore`,
      summary: `Bring a deleted ${what} back; a repeat changes nothing`,
      deed: 'govern',
      handle: async ({ repositories, id }) => {
        await repositories.transaction((inside) => restore(inside, id))
        return found(await find(repositories, id), what)
      },
    }),
  ]
}
