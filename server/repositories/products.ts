import { QueryTypes } from 'sequelize'
import type { OnHand } from '#core/stock/onHand'
import type { Product, SaveProduct, StockMovement } from '#shared/schemas/product'
import type { ProductModel, StockMovementModel } from '../database/libraryModels'
import { editableRows, namedRow, type EditableRows } from './editableRows'
import type { Scope } from './scope'

export interface ProductFields extends Omit<SaveProduct, 'version'> {
  readonly kind: string
}
export type ProductsRepository = EditableRows<Product, ProductFields>

export interface StockRepository {
  /** Newest first, of one product. */
  readonly movements: (productId: string) => Promise<readonly StockMovement[]>
  /** What is on hand of every product that ever moved. */
  readonly sums: () => Promise<ReadonlyMap<string, readonly OnHand[]>>
  /** Appends; a movement sent twice is stored once. */
  readonly append: (productId: string, movements: readonly StockMovement[]) => Promise<void>
}

export const productsRepository = (scope: Scope): ProductsRepository =>
  editableRows<ProductModel, Product, ProductFields>(scope, scope.database.models.products, namedRow, [
    'kind',
    'name',
  ])

export function stockRepository({ database, organizationId, options }: Scope): StockRepository {
  const { stockMovements } = database.models
  return {
    movements: async (productId) =>
      (
        await stockMovements.findAll({
          where: { organizationId, productId },
          order: [
            ['onDay', 'DESC'],
            ['at', 'DESC'],
            ['id', 'DESC'],
          ],
          ...options,
        })
      ).map(plain),
    sums: async () => {
      const rows = await database.sequelize.query<{
        product_id: string
        dimension: OnHand['dimension']
        amount: number
        delivered: number | null
      }>(
        `SELECT product_id, dimension, sum(amount) AS amount,
             (array_agg(amount ORDER BY on_day DESC, at DESC, id DESC) FILTER (WHERE kind = 'received'))[1]
               AS delivered
           FROM stock_movements WHERE organization_id = :organizationId GROUP BY product_id, dimension`,
        { type: QueryTypes.SELECT, replacements: { organizationId }, ...options },
      )
      const byProduct = new Map<string, OnHand[]>()
      for (const { product_id: id, dimension, amount, delivered } of rows)
        byProduct.set(id, [
          ...(byProduct.get(id) ?? []),
          { dimension, amount, ...(delivered !== null && { delivered }) },
        ])
      return byProduct
    },
    append: async (productId, movements) => {
      await stockMovements.bulkCreate(
        movements.map(({ on, ...movement }) => ({ organizationId, productId, ...movement, onDay: on })),
        { ignoreDuplicates: true, ...options },
      )
    },
  }
}

const plain = ({
  id,
  kind,
  dimension,
  amount,
  entered,
  lot,
  remarks,
  applicationId,
  onDay,
}: StockMovementModel): StockMovement => ({
  id,
  kind,
  dimension,
  amount,
  entered,
  lot,
  remarks,
  applicationId,
  on: onDay,
})
