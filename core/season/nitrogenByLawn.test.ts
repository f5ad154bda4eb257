import { expect, test } from 'vitest'
import { nitrogenByLawn } from './nitrogenByLawn'

const LAWN = 92.90304
const lawn = (id: string, grasses: Parameters<typeof nitrogenByLawn>[0][number]['grasses'], size = LAWN) => ({
  id,
  name: id,
  size,
  grasses,
})
/** One unit of nitrogen, 1 lb on 1,000 ft2, is 0.45359237 kg on 92.90304 m2. */
const row = (areaId: string, on: string, n: number | null) => ({ areaId, on, n })

test('each lawn against what its own grass wants, in the year asked for', () => {
  const rows = [
    row('front', '2026-04-01', 0.45359237),
    row('front', '2025-04-01', 5),
    row('front', '2026-05-01', null),
    row('side', '2026-04-01', 0.45359237 * 1.5),
  ]
  const [front, side] = nitrogenByLawn(
    [lawn('front', ['tall fescue']), lawn('side', ['centipede'])],
    rows,
    '2026',
  )
  expect(front).toMatchObject({ state: 'short', unknown: 1 })
  expect(front?.laid).toBeCloseTo(0.45359237 / 92.90304, 12)
  expect(front?.wanted[1]).toBeCloseTo((4 * 0.45359237) / 92.90304, 12)
  expect(side).toMatchObject({ state: 'over', unknown: 0 })
})

test('a lawn without a size or a grass has no bar', () => {
  expect(nitrogenByLawn([lawn('bare', []), lawn('unmeasured', ['zoysia'], 0)], [], '2026')).toEqual([])
})
