import { expect, test } from 'vitest'
import { typed } from '../../../demo/typed'
import { blankProductDocument } from '../../label/blankProduct'
import { KILOGRAMS_PER } from '../../quantity/units'
import { pricedPackage } from './pricedPackage'

const document = {
  ...blankProductDocument('line', 'us-1000'),
  packages: [
    { id: 'small', size: typed('10', 'lb' as const), price: '20' },
    { id: 'large', size: typed('50', 'lb' as const), price: '60' },
    { id: 'unpriced', size: typed('100', 'lb' as const), price: '' },
  ],
}
const lb = (pounds: number) => pounds * KILOGRAMS_PER.lb

test('the cheapest by amount where no delivery tells; what was delivered where it does', () => {
  expect(pricedPackage({ document }, 'mass', undefined)).toMatchObject({
    pack: { id: 'large' },
    delivered: false,
  })
  const onHand = [{ dimension: 'mass' as const, amount: lb(30), delivered: lb(30) }]
  // Three of ten go into 30 lb, none of fifty does.
  expect(pricedPackage({ document, onHand }, 'mass', undefined)).toMatchObject({
    pack: { id: 'small' },
    delivered: true,
  })
})
test('nothing where no package has a price and a size that counts', () => {
  expect(pricedPackage({ document: { ...document, packages: [] } }, 'mass', undefined)).toBeUndefined()
  expect(pricedPackage({ document }, 'volume', undefined)).toBeUndefined()
  const litre = { value: 2, unit: 'kg/L' as const }
  // 50 lb at 2 kg/L fill 11.34 L.
  expect(pricedPackage({ document }, 'volume', litre)?.size).toBeCloseTo(lb(50) / 2000, 9)
})
