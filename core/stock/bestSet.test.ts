import fc from 'fast-check'
import { expect, test } from 'vitest'
import { typed } from '../../demo/typed'
import { bestSet, type OnSale } from './bestSet'

const offer = (size: number, price: number | undefined, i: number): OnSale => ({
  pack: { id: `${i}`, size: typed(String(size), 'lb'), price: price === undefined ? '' : String(price) },
  size,
  price,
})

/** Every set up to what is of use, one after the other: the least that any of them costs. */
function leastOf(offers: readonly OnSale[], need: number): { readonly cost: number; readonly over: number } {
  let best = { cost: Infinity, over: Infinity }
  const look = (place: number, left: number, cost: number): void => {
    const next = offers[place]
    if (left <= 1e-9) {
      if (cost < best.cost - 1e-9 || (Math.abs(cost - best.cost) <= 1e-9 && -left < best.over))
        best = { cost, over: -left }
      return
    }
    if (!next) return
    for (let count = 0; count <= Math.ceil(left / next.size); count++)
      look(place + 1, left - count * next.size, cost + count * (next.price ?? next.size))
  }
  look(0, need, 0)
  return best
}

const sizes = fc.integer({ min: 1, max: 60 })
const prices = fc.integer({ min: 1, max: 90 })

test('no other set of packages costs less, nor as little with less left over', () => {
  const offers = fc.array(fc.tuple(sizes, prices), { minLength: 1, maxLength: 4 })
  fc.assert(
    fc.property(offers, fc.integer({ min: 1, max: 150 }), (list, need) => {
      const onSale = list.map(([size, price], i) => offer(size, price, i))
      const found = bestSet(onSale, need)
      const expected = leastOf(onSale, need)
      expect(found?.cost).toBeCloseTo(expected.cost, 6)
      expect(found?.over).toBeCloseTo(Math.max(0, expected.over), 6)
      const bought = (found?.packs ?? []).reduce(
        (sum, { pack, count }) => sum + count * Number(pack.size.text),
        0,
      )
      expect(bought).toBeGreaterThanOrEqual(need)
    }),
  )
})

test('without prices it is the set that is least too much; priced packages go before others', () => {
  const unpriced = [offer(50, undefined, 0), offer(20, undefined, 1)]
  expect(bestSet(unpriced, 60)).toMatchObject({ cost: undefined, over: 0 })
  expect(bestSet([offer(50, undefined, 0), offer(20, 8, 1)], 60)).toMatchObject({
    cost: 24,
    packs: [{ count: 3, pack: { id: '1' } }],
  })
  expect(bestSet([], 60)).toBeUndefined()
  expect(bestSet(unpriced, 0)).toBeUndefined()
})
