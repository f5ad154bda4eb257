import { expect, test } from 'vitest'
import { readTable } from '../../test/support/readTable'
import { parseQuantity, type Kind } from '../quantity/parseQuantity'
import type { Quantity } from '../quantity/quantity'
import type { ContentUnit, RateUnit } from '../quantity/units'
import type { RateBasis } from './label'
import { limitAsProduct } from './limitAsProduct'

function read<U extends string>(text: string, kind: Kind): Quantity<U> {
  const found = parseQuantity(text, kind, 'lb' as never)
  if (!found.ok) throw new Error(`the table holds ${text}`)
  return found.value as unknown as Quantity<U>
}

test.each(readTable('limitAsProduct.csv', import.meta.url))(
  '$limit of $basis: $words',
  ({ limit = '', basis, analysis = '', content = '', expect: expected = '' }) => {
    const product = {
      id: 'p',
      ...(analysis && { analysis: { [basis ?? 'n']: Number(analysis) } }),
      ...(content && { actives: [{ name: 'a', content: read<ContentUnit>(content, 'content') }] }),
    }
    const found = limitAsProduct(product, read<RateUnit>(limit, 'rate'), basis as RateBasis)
    if (expected === '') return expect(found).toBeUndefined()
    const wanted = read<RateUnit>(expected, 'rate')
    expect(found?.unit).toBe(wanted.unit)
    expect(found?.value).toBeCloseTo(wanted.value, 9)
  },
)
