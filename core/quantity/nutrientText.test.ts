import { expect, test } from 'vitest'
import { nutrientRangeText, nutrientText } from './nutrientText'

// 1 lb on 1,000 ft2 = 0.45359237 kg on 92.90304 m2 = 0.488243 kg on 100 m2 = 48.8243 kg on a hectare;
// an acre is 43.56 x 1,000 ft2.
test.each([
  ['us-1000', '1.000 lb N/1000 ft2', '2 to 4 lb N/1000 ft2'],
  ['us-acre', '43.6 lb N/ac', '87.1 to 174 lb N/ac'],
  ['metric-100', '0.488 kg N/100 m2', '0.976 to 1.95 kg N/100 m2'],
  ['metric-ha', '48.8 kg N/ha', '97.6 to 195 kg N/ha'],
] as const)('%s: one unit of nitrogen is %s', (system, one, range) => {
  expect(nutrientText(1, 'N', system)).toBe(one)
  expect(nutrientRangeText([2, 4], 'N', system)).toBe(range)
})
