import { readNotNegative } from '#core/quantity/entered'
import { amountFactor } from '#core/quantity/quantity'
import { dimensionOf } from '#core/quantity/rateUnit'
import { onHand, signedAmount } from '#core/stock/onHand'
import type { NewMovement, Stock } from '#shared/schemas/product'
import { failure } from '../http/failure'
import type { Repositories } from '../repositories/forOrganization'

export async function readStock(repositories: Repositories, productId: string): Promise<Stock> {
  const movements = await repositories.stock.movements(productId)
  return { onHand: onHand(movements), movements }
}

/** Books a delivery, a count or a disposal; a repeat of one that is there changes nothing. */
export async function moveStock(
  repositories: Repositories,
  productId: string,
  { id, kind, entered, lot, remarks, on }: NewMovement,
): Promise<Stock> {
  const read = readNotNegative(entered, 'amount', 'The amount')
  if (!read.ok) throw failure('invalid', [{ path: 'entered', message: read.error.message }])
  if (kind !== 'counted' && read.value.value === 0)
    throw failure('invalid', [{ path: 'entered', message: 'The amount must be above zero.' }])
  const dimension = dimensionOf(read.value.unit)
  return repositories.transaction(async (inside) => {
    if (!(await inside.products.find(productId, 'lock')))
      throw failure('not-found', 'There is no such product.')
    const before = await readStock(inside, productId)
    if (before.movements.some((movement) => movement.id === id)) return before
    const there = before.onHand.find((one) => one.dimension === dimension)?.amount ?? 0
    const amount = signedAmount(kind, read.value.value * amountFactor(read.value.unit), there)
    await inside.stock.append(productId, [
      {
        id,
        kind,
        dimension,
        amount,
        entered: { text: entered.text, unit: read.value.unit },
        lot,
        remarks,
        applicationId: null,
        on,
      },
    ])
    return readStock(inside, productId)
  })
}
