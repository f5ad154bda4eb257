import { expect, test } from 'vitest'
import { planApplication } from '../plan/planApplication'
import { quantity } from '../quantity/quantity'
import type { FrozenPlan } from './runEvent'
import type { SeenPlan } from './carriedShape'
import { planDifferences, seenPlan } from './seenPlan'

/** Iron on so much lawn, mixed in tanks of 10 gal; what stops it. */
function frozen(size: number, stops: readonly string[] = []): FrozenPlan {
  const plan = planApplication({
    areas: [{ id: 'a', size: quantity(size, 'ft2') }],
    products: [{ id: 'p', rate: quantity(2, 'fl oz/1000 ft2') }],
    method: {
      kind: 'spray',
      carrier: quantity(1, 'gal/1000 ft2'),
      tank: quantity(10, 'gal'),
      loads: 'full-then-part',
    },
  })
  if (!plan.ok) throw new Error('the test plan does not plan')
  return {
    coreVersion: '1.10.0',
    site: 'Elm House',
    equipment: '',
    calibration: '',
    labels: [{ productId: 'p', name: 'Iron', registration: '' }],
    request: { areas: [], products: [], method: { kind: 'spread', passes: 1 }, units: 'us-1000' },
    plan: plan.value,
    worked: { checks: stops.map((message) => ({ level: 'stop', message })) } as unknown as NonNullable<
      FrozenPlan['worked']
    >,
  }
}
const differences = (now: FrozenPlan, seen: SeenPlan) => planDifferences({ ...now, seen })

test('what a phone went by is its ground, its amounts, its loads and what stopped it', () => {
  const seen = seenPlan(frozen(12_000, ['Too soon.']))
  expect(seen).toMatchObject({ coreVersion: '1.10.0', loads: 2, stops: ['Too soon.'] })
  expect(seen.sizeM2).toBeCloseTo(12_000 * 0.09290304, 6)
  expect(seen.products).toMatchObject([{ id: 'p', amount: { value: expect.closeTo(24, 9), unit: 'fl oz' } }])
})

test('a plan that says the same tells nothing; one begun with a network has nothing to tell', () => {
  const now = frozen(12_000)
  expect(differences(now, seenPlan(now))).toEqual([])
  expect(planDifferences(now)).toEqual([])
  // The same amount in another unit is no difference.
  const inGallons = { ...seenPlan(now), products: [{ id: 'p', amount: quantity(24 / 128, 'gal') }] }
  expect(differences(now, inGallons)).toEqual([])
})

test('ground, amount and loads that changed meanwhile are told with both figures', () => {
  const told = differences(frozen(9000), seenPlan(frozen(12_000)))
  expect(told).toHaveLength(3)
  expect(told[0]).toMatch(/^The phone counted 12,000 ft² of lawn, the library says 9,000 ft²/)
  expect(told[1]).toMatch(/^Iron: the phone measured out 24\.0 fl oz, by the library it is 18\.00 fl oz/)
  expect(told[2]).toBe('The phone mixed 2 loads, by the library it is 1.')
})

test('a product that went, and stops of both sides', () => {
  const now = frozen(9000, ['Wind.', 'Too soon.'])
  const seen = seenPlan(frozen(9000, ['Too soon.', 'Rain.']))
  const gone = { ...seen, products: [...seen.products, { id: 'q', amount: quantity(3, 'lb') }] }
  expect(differences(now, gone)).toEqual([
    expect.stringMatching(/^A product is not in the plan any more: the phone measured out 3\.00 lb/),
    'The phone did not know: Wind.',
    'Carried out although: Too soon.',
    'Carried out although: Rain.',
  ])
})
