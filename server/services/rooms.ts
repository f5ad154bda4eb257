import * as v from 'valibot'
import { SaveCalibrationSchema, SaveEquipmentSchema } from '#shared/schemas/equipment'
import { SaveAreaSchema, SaveSiteSchema } from '#shared/schemas/ground'
import { SaveTrialSchema, type SaveTrial } from '#shared/schemas/trial'
import { SaveProductSchema } from '#shared/schemas/product'
import type { RoomName } from '#shared/schemas/room'
import { failure } from '../http/failure'
import type { Repositories } from '../repositories/forOrganization'
import { saveArea } from './saveArea'
import { saveCalibration } from './saveCalibration'
import { removeRow, saveRow } from './saveRow'

/** One kind of row that people edit, as the routes see it. */
export interface Room {
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

/** The rooms by their name in the address. */
export const ROOMS: Readonly<Record<RoomName, Room>> = {
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
    list: ({ areas }, { siteId }) => areas.list({ siteId: idIn(siteId) ?? null }),
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
  trials: {
    schema: SaveTrialSchema,
    what: 'test',
    list: ({ trials }, { equipmentId }) =>
      trials.list(idIn(equipmentId) ? { equipmentId: idIn(equipmentId) } : {}),
    find: ({ trials }, id) => trials.find(id),
    save: (repositories, id, body) => saveTrial(repositories, id, v.parse(SaveTrialSchema, body)),
    remove: ({ trials }, id, version) => removeRow(trials, id, version, 'test'),
    restore: ({ trials }, id) => trials.restore(id),
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
}

/** A tray test belongs to a spreader, a nozzle check to a sprayer. */
async function saveTrial(repositories: Repositories, id: string, input: SaveTrial) {
  return repositories.transaction(async ({ trials, equipment }) => {
    const owner = await equipment.find(input.equipmentId)
    if (!owner) throw failure('not-found', 'There is no such piece of equipment.')
    if (owner.document.kind !== (input.document.kind === 'pattern' ? 'spreader' : 'sprayer'))
      throw failure('invalid', [{ path: 'document.kind', message: `is no test of a ${owner.document.kind}` }])
    return (await saveRow(trials, id, input, { onDay: input.document.on || null }, 'test')).row
  })
}
