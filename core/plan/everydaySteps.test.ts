import { expect, test } from 'vitest'
import type { AmountUnit, RateUnit } from '../quantity/units'
import { withEverydaySteps } from './everydaySteps'
import { workOutPlan } from './planApplication'
import { planQuestion } from './planQuestion'
import type { PlanRequest } from './planRequest'

const dry = (
  rate: number,
  unit: RateUnit,
  square: number,
  step?: { value: number; unit: AmountUnit },
): PlanRequest => ({
  areas: [{ id: 'a', size: { value: square, unit: 'ft2' } }],
  products: [{ id: 'p', rate: { value: rate, unit }, basis: 'product', ...(step && { measureStep: step }) }],
  method: { kind: 'spread', passes: 1 },
})

// Amount = rate x ground, by hand; the step is the widest usual one of at most a hundredth of it.
test.each([
  ['3 lb/1000 ft2 on 4,000 ft2 is 12 lb: 0.12 allows 0.1 lb', dry(3, 'lb/1000 ft2', 4000), 0.1, 'lb'],
  [
    '0.2 lb/1000 ft2 on 4,000 ft2 is 0.8 lb = 12.8 oz: 0.128 allows 0.1 oz',
    dry(0.2, 'lb/1000 ft2', 4000),
    0.1,
    'oz',
  ],
  ['16 oz/1000 ft2 on 4,000 ft2 is 4 lb: 0.04 allows 0.01 lb', dry(16, 'oz/1000 ft2', 4000), 0.01, 'lb'],
  ['2.5 g/m2 on 4,305.564 ft2 (400 m2) is 1 kg: 0.01 kg', dry(2.5, 'g/m2', 4305.564174), 0.01, 'kg'],
  ['0.5 qt/ac on a tenth of an acre is 1.6 fl oz: 0.016 allows 0.01', dry(0.5, 'qt/ac', 4356), 0.01, 'fl oz'],
] as const)('%s', (_, request, value, unit) => {
  expect(withEverydaySteps(planQuestion(request)).products[0]?.measureStep).toEqual({ value, unit })
})

test('of a sprayed product a full load decides, and what was chosen stays', () => {
  // 1 gal/1000 ft2 from a 2 gal tank: loads of 2,000 ft2, each 2 x 3 = 6 fl oz, so 0.05; the lawn takes 60.
  const sprayed: PlanRequest = {
    ...dry(3, 'fl oz/1000 ft2', 20_000),
    method: {
      kind: 'spray',
      tank: { value: 2, unit: 'gal' },
      carrier: { value: 1, unit: 'gal/1000 ft2' },
      loads: 'equal',
    },
  }
  expect(withEverydaySteps(planQuestion(sprayed)).products[0]?.measureStep).toEqual({
    value: 0.05,
    unit: 'fl oz',
  })
  const chosen = planQuestion(dry(3, 'lb/1000 ft2', 4000, { value: 1, unit: 'oz' }))
  expect(withEverydaySteps(chosen)).toEqual(chosen)
  // Dry work is told by weight: a spray's 0.00530 gal is what a cup shows as 0.68 fl oz.
  const little = workOutPlan(
    withEverydaySteps(
      planQuestion({
        ...sprayed,
        areas: [{ id: 'a', size: { value: 53, unit: 'ft2' } }],
        products: [{ id: 'p', rate: { value: 0.1, unit: 'gal/1000 ft2' }, basis: 'product' }],
      }),
    ),
  )
  expect(little.ok && little.value.plan.totals.products[0]?.measured).toMatchObject({ unit: 'fl oz' })
})
