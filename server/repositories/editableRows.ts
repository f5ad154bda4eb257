import {
  Op,
  type Attributes,
  type CreationAttributes,
  type Model,
  type ModelStatic,
  type WhereOptions,
} from 'sequelize'
import { noteHistory } from './history'
import type { Scope } from './scope'

/**
 * Rows that people edit: read at a version, written over that version alone, deleted so that they can be
 * brought back.
 */
export interface EditableRows<Row, Fields> {
  readonly list: (where?: Readonly<Record<string, unknown>>) => Promise<readonly Row[]>
  /** With `lock`, the row is held until the transaction ends. */
  readonly find: (id: string, lock?: 'lock') => Promise<Row | undefined>
  /** Also finds what was deleted. */
  readonly findDeleted: (id: string) => Promise<Row | undefined>
  readonly insert: (id: string, fields: Fields) => Promise<void>
  /** False when that version is no longer there. */
  readonly update: (id: string, version: number, fields: Fields) => Promise<boolean>
  readonly remove: (id: string, version: number) => Promise<boolean>
  readonly restore: (id: string) => Promise<boolean>
}

interface EditableAttributes {
  organizationId: string
  id: string
  version: number
  updatedAt: Date
  deletedAt: Date | null
}

/**
 * The queries of one room.
 * @param plain turns a model's row into typed data; @param order columns the list is sorted by, the id last
 */
export function editableRows<M extends Model & EditableAttributes, Row, Fields extends object>(
  scope: Scope,
  model: ModelStatic<M>,
  plain: (row: M) => Row,
  order: readonly string[],
): EditableRows<Row, Fields> {
  const { organizationId, options } = scope
  const scoped = (where: object) => ({ organizationId, ...where }) as unknown as WhereOptions<Attributes<M>>
  const one = async (where: object, lock?: 'lock') => {
    const row = await model.findOne({
      where: scoped(where),
      ...(lock && options.transaction ? { lock: options.transaction.LOCK.UPDATE } : {}),
      ...options,
    })
    return row ? plain(row) : undefined
  }
  const write = async (
    fields: object,
    where: { readonly id: string } & Readonly<Record<string, unknown>>,
    what: 'changed' | 'deleted' | 'brought back',
  ) => {
    const [count] = await model.update({ ...fields, updatedAt: new Date() } as never, {
      where: scoped(where),
      ...options,
    })
    if (count === 1) await noteHistory(scope, model.tableName, where.id, what)
    return count === 1
  }
  return {
    list: async (where = {}) =>
      (
        await model.findAll({
          where: scoped({ ...where, deletedAt: null }),
          order: [...order, 'id'].map((name) => [name, 'ASC']),
          ...options,
        })
      ).map(plain),
    find: (id, lock) => one({ id, deletedAt: null }, lock),
    findDeleted: (id) => one({ id, deletedAt: { [Op.ne]: null } }),
    insert: async (id, fields) => {
      await model.create(
        { organizationId, id, version: 1, ...fields } as unknown as CreationAttributes<M>,
        options,
      )
      await noteHistory(scope, model.tableName, id, 'made')
    },
    update: (id, version, fields) =>
      write({ ...fields, version: version + 1 }, { id, version, deletedAt: null }, 'changed'),
    remove: (id, version) =>
      write({ version: version + 1, deletedAt: new Date() }, { id, version, deletedAt: null }, 'deleted'),
    restore: (id) => write({ deletedAt: null }, { id, deletedAt: { [Op.ne]: null } }, 'brought back'),
  }
}

interface Versioned {
  readonly id: string
  readonly version: number
  readonly updatedAt: Date
}

/** A model's row as plain data: its id, version and last change, and some columns of its own. */
export const plainRow =
  <const Column extends string>(...columns: readonly Column[]) =>
  <M extends Versioned & { readonly [name in Column]: unknown }>(
    row: M,
  ): Pick<M, Column | 'id' | 'version'> & { readonly updatedAt: string } => ({
    ...(Object.fromEntries(
      [...(['id', 'version'] as const), ...columns].map((name) => [name, row[name]]),
    ) as Pick<M, Column | 'id' | 'version'>),
    updatedAt: row.updatedAt.toISOString(),
  })

/** A row that has a name and a document, and nothing else of its own. */
export const namedRow = plainRow('name', 'document')
