import * as v from 'valibot'
import { Uuid } from '#core/shape/texts'
import { LIBRARY_KINDS, RemoveSchema, type LibraryKind } from '#shared/schemas/library'
import type { BenchTest } from '#shared/schemas/benchTest'
import type { Calibration, Equipment } from '#shared/schemas/equipment'
import type { Area, Site } from '#shared/schemas/ground'
import type { Product } from '#shared/schemas/product'
import type { AreaProgram, Program } from '#shared/schemas/program'
import type { Probe, Station } from '#shared/schemas/weather'
import told from '#answers'
import { defineCrewRoute, found, type Route } from '../http/defineRoute'
import { LIBRARY } from '../services/library'

const Ids = v.optional(v.union([v.string(), v.array(v.string())]))

/** What is stored of each kind: read when the server is built, for what these routes answer. */
interface StoredKinds extends Record<LibraryKind, object> {
  readonly sites: Site
  readonly areas: Area
  readonly equipment: Equipment
  readonly calibrations: Calibration
  readonly benchTests: BenchTest
  readonly products: Product
  readonly stations: Station
  readonly probes: Probe
  readonly programs: Program
  readonly areaPrograms: AreaProgram
}
const rowOf = (kind: keyof StoredKinds): object => told.rows[kind] ?? {}

/** Rows that people edit: a list and five deeds for each kind. */
export const LIBRARY_ROUTES: readonly Route[] = LIBRARY_KINDS.flatMap(routesOf)

function routesOf(kind: LibraryKind): readonly Route[] {
  const { schema, what, list, find, save, remove, restore } = LIBRARY[kind]
  const path = `/library/${kind}` as const
  const row = { json: rowOf(kind) }
  return [
    defineCrewRoute({
      path: `GET ${path}`,
      summary: `Every ${what}`,
      answer: { json: { type: 'array', items: row.json } },
      query: v.object({ siteId: Ids, equipmentId: Ids, areaId: Ids }),
      handle: ({ repositories, query }) => list(repositories, query),
    }),
    defineCrewRoute({
      path: `GET ${path}/:id`,
      summary: `One ${what}`,
      answer: row,
      handle: async ({ repositories, id }) => found(await find(repositories, id), what),
    }),
    defineCrewRoute({
      path: `PUT ${path}/:id`,
      summary: `Save a ${what}; 409 carries the row that is stored`,
      answer: row,
      body: schema,
      fails: [409],
      handle: ({ repositories, id, body, today }) => save(repositories, id, body, today),
    }),
    defineCrewRoute({
      path: `DELETE ${path}/:id`,
      summary: `Delete a ${what}`,
      answer: v.object({ id: Uuid }),
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
      answer: row,
      deed: 'govern',
      handle: async ({ repositories, id }) => {
        await repositories.transaction((inside) => restore(inside, id))
        return found(await find(repositories, id), what)
      },
    }),
  ]
}
