import * as v from 'valibot'
import { counted } from '#core/quantity/counting'
import { SaveCalibrationSchema, SaveEquipmentSchema } from '#shared/schemas/equipment'
import { SaveAreaSchema, SaveSiteSchema } from '#shared/schemas/ground'
import { SaveBenchTestSchema, type SaveBenchTest } from '#shared/schemas/benchTest'
import { SaveProductSchema } from '#shared/schemas/product'
import { SaveProbeSchema, SaveStationSchema } from '#shared/schemas/weather'
import type { LibraryKind } from '#shared/schemas/library'
import { SaveAreaProgramSchema, SaveProgramSchema, type SaveAreaProgram } from '#shared/schemas/program'
import { failure } from '../http/failure'
import type { EditableRows } from '../repositories/editableRows'
import type { Repositories } from '../repositories/forOrganization'
import { saveArea } from './saveArea'
import { saveCalibration } from './saveCalibration'
import { saveProbe } from './saveProbe'
import { removeRow, saveRow, type StoredRow } from './saveRow'

/** One kind of row that people edit, as the routes see it. */
export interface LibraryRows {
  readonly schema: v.GenericSchema
  /** The word for one of it. */
  readonly what: string
  readonly list: (
    repositories: Repositories,
    query: Readonly<Record<string, unknown>>,
  ) => Promise<readonly unknown[]>
  readonly find: (repositories: Repositories, id: string) => Promise<unknown>
  readonly save: (repositories: Repositories, id: string, body: unknown, today: string) => Promise<unknown>
  readonly remove: (repositories: Repositories, id: string, version: number) => Promise<void>
  readonly restore: (repositories: Repositories, id: string) => Promise<boolean>
}

const idIn = (value: unknown): string | undefined =>
  typeof value === 'string' && v.is(v.pipe(v.string(), v.uuid()), value) ? value : undefined

/** One id or several. */
const idsIn = (value: unknown): readonly string[] =>
  (Array.isArray(value) ? value : [value]).flatMap((one) => idIn(one) ?? [])

/** How the rows of one room are saved, and what of them is unlike all others. */
interface Room<S extends v.GenericSchema> {
  readonly what: string
  readonly schema: S
  /** Columns computed from what was entered. */
  readonly derived?: (input: v.InferOutput<S>) => object
  /** The column that a list may be asked by. */
  readonly by?: string
  readonly list?: LibraryRows['list']
  readonly save?: (
    inside: Repositories,
    id: string,
    input: v.InferOutput<S>,
    today: string,
  ) => Promise<unknown>
  readonly remove?: LibraryRows['remove']
}

const room = <
  S extends v.GenericSchema<unknown, { readonly version: number }>,
  Row extends StoredRow,
  Fields extends object,
>(
  rowsIn: (repositories: Repositories) => EditableRows<Row, Fields>,
  { what, schema, derived, by, list, save, remove }: Room<S>,
): LibraryRows => ({
  schema,
  what,
  list:
    list ??
    ((repositories, query) => {
      const id = by === undefined ? undefined : idIn(query[by])
      return rowsIn(repositories).list(by !== undefined && id !== undefined ? { [by]: id } : {})
    }),
  find: (repositories, id) => rowsIn(repositories).find(id),
  save: (repositories, id, body, today) => {
    const input = v.parse(schema, body)
    return repositories.transaction(async (inside) =>
      save
        ? save(inside, id, input, today)
        : (await saveRow(rowsIn(inside), id, input, derived?.(input) ?? {}, what)).row,
    )
  },
  remove: remove ?? ((repositories, id, version) => removeRow(rowsIn(repositories), id, version, what)),
  restore: (repositories, id) => rowsIn(repositories).restore(id),
})

const kindOf = ({ document }: { readonly document: { readonly kind: string } }) => ({ kind: document.kind })

/** What the library keeps, by its name in the address. */
export const LIBRARY: Readonly<Record<LibraryKind, LibraryRows>> = {
  sites: room(({ sites }) => sites, { what: 'site', schema: SaveSiteSchema }),
  areas: room(({ areas }) => areas, {
    what: 'area',
    schema: SaveAreaSchema,
    list: ({ areas }, { siteId }) => areas.list({ siteId: idsIn(siteId) }),
    save: saveArea,
  }),
  equipment: room(({ equipment }) => equipment, {
    what: 'piece of equipment',
    schema: SaveEquipmentSchema,
    derived: kindOf,
  }),
  calibrations: room(({ calibrations }) => calibrations, {
    what: 'calibration',
    schema: SaveCalibrationSchema,
    by: 'equipmentId',
    save: saveCalibration,
  }),
  benchTests: room(({ benchTests }) => benchTests, {
    what: 'test',
    schema: SaveBenchTestSchema,
    by: 'equipmentId',
    save: saveBenchTest,
  }),
  products: room(({ products }) => products, {
    what: 'product',
    schema: SaveProductSchema,
    derived: kindOf,
    list: async ({ products, stock }) => {
      const [list, sums] = await Promise.all([products.list(), stock.sums()])
      return list.map((product) => ({ ...product, onHand: sums.get(product.id) ?? [] }))
    },
  }),
  stations: room(({ stations }) => stations, { what: 'station', schema: SaveStationSchema }),
  probes: room(({ probes }) => probes, {
    what: 'reading',
    schema: SaveProbeSchema,
    by: 'areaId',
    save: saveProbe,
  }),
  programs: room(({ programs }) => programs, {
    what: 'program',
    schema: SaveProgramSchema,
    remove: removeProgram,
  }),
  areaPrograms: room(({ areaPrograms }) => areaPrograms, {
    what: 'applied program',
    schema: SaveAreaProgramSchema,
    by: 'areaId',
    save: saveAreaProgram,
  }),
}

/** A program that stands on lawns stays: their dates would be gone without a word. */
async function removeProgram(repositories: Repositories, id: string, version: number): Promise<void> {
  await repositories.transaction(async ({ programs, areaPrograms }) => {
    await programs.find(id, 'lock')
    const lawns = (await areaPrograms.list({ programId: id })).length
    if (lawns > 0)
      throw failure('contradicts', `It stands on ${counted(lawns, 'lawn')}: take it off there first.`)
    await removeRow(programs, id, version, 'program')
  })
}

/** A program is applied to an area that is there, once. Run it inside a transaction. */
async function saveAreaProgram(
  { areas, programs, areaPrograms }: Repositories,
  id: string,
  input: SaveAreaProgram,
) {
  if (!(await areas.find(input.areaId, 'lock'))) throw failure('not-found', 'There is no such area.')
  if (!(await programs.find(input.programId, 'lock'))) throw failure('not-found', 'There is no such program.')
  const there = await areaPrograms.list({ areaId: input.areaId })
  if (there.some((other) => other.id !== id))
    throw failure('contradicts', 'This area has a program already: take that one off first.')
  return (await saveRow(areaPrograms, id, input, {}, 'applied program')).row
}

/** A tray test belongs to a spreader, a nozzle check to a sprayer. Run it inside a transaction. */
async function saveBenchTest({ benchTests, equipment }: Repositories, id: string, input: SaveBenchTest) {
  const owner = await equipment.find(input.equipmentId)
  if (!owner) throw failure('not-found', 'There is no such piece of equipment.')
  if (owner.document.kind !== (input.document.kind === 'pattern' ? 'spreader' : 'sprayer'))
    throw failure('invalid', [{ path: 'document.kind', message: `is no test of a ${owner.document.kind}` }])
  return (await saveRow(benchTests, id, input, { onDay: input.document.on || null }, 'test')).row
}
