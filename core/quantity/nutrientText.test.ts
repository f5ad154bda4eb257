import { expect, test } from 'vitest'
import { openWorkingBook } from '../working/working'
import { planApplication } from '../plan/planApplication'
import { NUTRIENT_UNIT, nutrientRangeText, nutrientText } from './nutrientText'

// 1 lb on 1,000 ft2 = 0.45359237 kg on 92.90304 m2 = 0.488243 kg on 100 m2 = 48.8243 kg on a hectare;
// an acre is 43.56 x 1,000 ft2.
test.each([
  ['us-1000', '1.000 lb N/1000 ft2', '2 to 4 lb N/1000 ft2'],
  ['us-acre', '43.6 lb N/ac', '87.1 to 174 lb N/ac'],
  ['metric-100', '0.488 kg N/100 m2', '0.976 to 1.95 kg N/100 m2'],
  ['metric-ha', '48.8 kg N/ha', '97.6 to 195 kg N/ha'],
] as const)('%s: one unit of nitrogen is %s', (system, one, range) => {
  expect(nutrientText(NUTRIENT_UNIT, 'N', system)).toBe(one)
  expect(nutrientRangeText([2 * NUTRIENT_UNIT, 4 * NUTRIENT_UNIT], 'N', system)).toBe(range)
})

test('a plan tells its nutrients in the units it was asked in, working and checks alike', () => {
  // 3 kg of 46 % on 100 m2 = 1.38 kg N on 100 m2 = 2.83 units, over the one that may go down at once.
  const plan = planApplication(
    {
      areas: [{ id: 'a', size: { value: 100, unit: 'm2' } }],
      products: [{ id: 'p', rate: { value: 3, unit: 'kg/100 m2' }, analysis: { n: 46 } }],
      method: { kind: 'spread', passes: 1 },
      units: 'metric-100',
    },
    openWorkingBook(),
  )
  if (!plan.ok) throw new Error('it plans')
  const told = plan.value.checks.find(({ code }) => code === 'quick-nitrogen-high')?.message
  expect(told).toBe(
    '1.380 kg/100 m2 of quick nitrogen in one go; the usual limit is 0.488 kg/100 m2, often ' +
      '0.342 kg/100 m2 by local rule.',
  )
  expect(plan.value.working?.find(({ figure }) => figure === 'nutrients.n')?.lines.at(-1)).toBe(
    'N applied = 1.38 kg/100 m2',
  )
})
