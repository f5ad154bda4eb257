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
import type { Repositories } from '../repositories/forOrganization'
import { saveArea } from './saveArea'
import { saveCalibration } from './saveCalibration'
import { saveProbe } from './saveProbe'
import { removeRow, saveRow } from './saveRow'

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

/** What the library keeps, by its name in the address. */
export const LIBRARY: Readonly<Record<LibraryKind, LibraryRows>> = {
  sites: {
    schema: SaveSiteSchema,
    what: 'site',
    list: ({ sites }) => sites.list(),
    find: ({ sites }, id) => sites.find(id),
    save: (repositories, id, body) =>
      repositories.transaction(
        async ({ sites }) => (await saveRow(sites, id, v.parse(SaveSiteSchema, body), {}, 'site')).row,
      ),
    remove: ({ sites }, id, version) => removeRow(sites, id, version, 'site'),
    restore: ({ sites }, id) => sites.restore(id),
  },
  areas: {
    schema: SaveAreaSchema,
    what: 'area',
    list: ({ areas }, { siteId }) => areas.list({ siteId: idsIn(siteId) }),
    find: ({ areas }, id) => areas.find(id),
    save: (repositories, id, body, today) =>
      repositories.transaction((inside) => saveArea(inside, id, v.parse(SaveAreaSchema, body), today)),
    remove: ({ areas }, id, version) => removeRow(areas, id, version, 'area'),
    restore: ({ areas }, id) => areas.restore(id),
  },
  equipment: {
    schema: SaveEquipmentSchema,
    what: 'piece of equipment',
    list: ({ equipment }) => equipment.list(),
    find: ({ equipment }, id) => equipment.find(id),
    save: (repositories, id, body) =>
      repositories.transaction(async ({ equipment }) => {
        const input = v.parse(SaveEquipmentSchema, body)
        return (await saveRow(equipment, id, input, { kind: input.document.kind }, 'piece of equipment')).row
      }),
    remove: ({ equipment }, id, version) => removeRow(equipment, id, version, 'piece of equipment'),
    restore: ({ equipment }, id) => equipment.restore(id),
  },
  calibrations: {
    schema: SaveCalibrationSchema,
    what: 'calibration',
    list: ({ calibrations }, { equipmentId }) =>
      calibrations.list(idIn(equipmentId) ? { equipmentId: idIn(equipmentId) } : {}),
    find: ({ calibrations }, id) => calibrations.find(id),
    save: (repositories, id, body) =>
      repositories.transaction((inside) => saveCalibration(inside, id, v.parse(SaveCalibrationSchema, body))),
    remove: ({ calibrations }, id, version) => removeRow(calibrations, id, version, 'calibration'),
    restore: ({ calibrations }, id) => calibrations.restore(id),
  },
  benchTests: {
    schema: SaveBenchTestSchema,
    what: 'test',
    list: ({ benchTests }, { equipmentId }) =>
      benchTests.list(idIn(equipmentId) ? { equipmentId: idIn(equipmentId) } : {}),
    find: ({ benchTests }, id) => benchTests.find(id),
    save: (repositories, id, body) => saveBenchTest(repositories, id, v.parse(SaveBenchTestSchema, body)),
    remove: ({ benchTests }, id, version) => removeRow(benchTests, id, version, 'test'),
    restore: ({ benchTests }, id) => benchTests.restore(id),
  },
  products: {
    schema: SaveProductSchema,
    what: 'product',
    list: async ({ products, stock }) => {
      const [list, sums] = await Promise.all([products.list(), stock.sums()])
      return list.map((product) => ({ ...product, onHand: sums.get(product.id) ?? [] }))
    },
    find: ({ products }, id) => products.find(id),
    save: (repositories, id, body) =>
      repositories.transaction(async ({ products }) => {
        const input = v.parse(SaveProductSchema, body)
        return (await saveRow(products, id, input, { kind: input.document.kind }, 'product')).row
      }),
    remove: ({ products }, id, version) => removeRow(products, id, version, 'product'),
    restore: ({ products }, id) => products.restore(id),
  },
  stations: {
    schema: SaveStationSchema,
    what: 'station',
    list: ({ stations }) => stations.list(),
    find: ({ stations }, id) => stations.find(id),
    save: (repositories, id, body) =>
      repositories.transaction(
        async ({ stations }) =>
          (await saveRow(stations, id, v.parse(SaveStationSchema, body), {}, 'station')).row,
      ),
    remove: ({ stations }, id, version) => removeRow(stations, id, version, 'station'),
    restore: ({ stations }, id) => stations.restore(id),
  },
  probes: {
    schema: SaveProbeSchema,
    what: 'reading',
    list: ({ probes }, { areaId }) => probes.list(idIn(areaId) ? { areaId: idIn(areaId) } : {}),
    find: ({ probes }, id) => probes.find(id),
    save: (repositories, id, body) =>
      repositories.transaction((inside) => saveProbe(inside, id, v.parse(SaveProbeSchema, body))),
    remove: ({ probes }, id, version) => removeRow(probes, id, version, 'reading'),
    restore: ({ probes }, id) => probes.restore(id),
  },
  programs: {
    schema: SaveProgramSchema,
    what: 'program',
    list: ({ programs }) => programs.list(),
    find: ({ programs }, id) => programs.find(id),
    save: (repositories, id, body) =>
      repositories.transaction(
        async ({ programs }) =>
          (await saveRow(programs, id, v.parse(SaveProgramSchema, body), {}, 'program')).row,
      ),
    remove: removeProgram,
    restore: ({ programs }, id) => programs.restore(id),
  },
  areaPrograms: {
    schema: SaveAreaProgramSchema,
    what: 'applied program',
    list: ({ areaPrograms }, { areaId }) => areaPrograms.list(idIn(areaId) ? { areaId: idIn(areaId) } : {}),
    find: ({ areaPrograms }, id) => areaPrograms.find(id),
    save: (repositories, id, body) => saveAreaProgram(repositories, id, v.parse(SaveAreaProgramSchema, body)),
    remove: ({ areaPrograms }, id, version) => removeRow(areaPrograms, id, version, 'applied program'),
    restore: ({ areaPrograms }, id) => areaPrograms.restore(id),
  },
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

/** A program is applied to an area that is there, once. */
async function saveAreaProgram(repositories: Repositories, id: string, input: SaveAreaProgram) {
  return repositories.transaction(async ({ areas, programs, areaPrograms }) => {
    if (!(await areas.find(input.areaId, 'lock'))) throw failure('not-found', 'There is no such area.')
    if (!(await programs.find(input.programId, 'lock')))
      throw failure('not-found', 'There is no such program.')
    const there = await areaPrograms.list({ areaId: input.areaId })
    if (there.some((other) => other.id !== id))
      throw failure('contradicts', 'This area has a program already: take that one off first.')
    return (await saveRow(areaPrograms, id, input, {}, 'applied program')).row
  })
}

/** A tray test belongs to a spreader, a nozzle check to a sprayer. */
async function saveBenchTest(repositories: Repositories, id: string, input: SaveBenchTest) {
  return repositories.transaction(async ({ benchTests, equipment }) => {
    const owner = await equipment.find(input.equipmentId)
    if (!owner) throw failure('not-found', 'There is no such piece of equipment.')
    if (owner.document.kind !== (input.document.kind === 'pattern' ? 'spreader' : 'sprayer'))
      throw failure('invalid', [{ path: 'document.kind', message: `is no test of a ${owner.document.kind}` }])
    return (await saveRow(benchTests, id, input, { onDay: input.document.on || null }, 'test')).row
  })
}
