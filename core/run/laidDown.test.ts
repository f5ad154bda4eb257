import { NO_PROGRESS } from './progress'
import { expect, test } from 'vitest'
import { figure, readTable } from '../../test/support/readTable'
import { planApplication } from '../plan/planApplication'
import type { PlanRequest } from '../plan/planRequest'
import { parseQuantity, type Kind } from '../quantity/parseQuantity'
import type { Quantity } from '../quantity/quantity'
import { closedWorkingBook } from '../working/working'
import type { RunRecord } from './foldRun'
import { laidDown, ledgerChange } from './laidDown'
import { outcomeOf, type Used } from './outcome'

function read<U extends string>(text: string | undefined, kind: Kind): Quantity<U> {
  const found = parseQuantity(text ?? '', kind, 'lb' as never)
  if (!found.ok) throw new Error(`the table holds ${text}`)
  return found.value as unknown as Quantity<U>
}

function recordOf(row: Record<string, string>): RunRecord {
  const wet = row.method === 'wet'
  const request: PlanRequest = {
    areas: (row.sizes ?? '').split('; ').map((size, i) => ({ id: `a${i + 1}`, size: read(size, 'area') })),
    products: [
      {
        id: 'p',
        rate: read(row.rate, 'rate'),
        analysis: { n: Number(row.analysis) },
        ...(row.density && { density: read(row.density, 'density') }),
      },
    ],
    method: wet
      ? {
          kind: 'spray',
          carrier: { value: 1.3, unit: 'gal/1000 ft2' },
          tank: { value: 26, unit: 'gal' },
          loads: 'equal',
        }
      : { kind: 'spread', passes: 2 },
  }
  const used: Used = {
    treated: read(row.treated, 'area'),
    putIn: [{ productId: 'p', amount: read(row.putIn, 'amount') }],
    left: read(row.left, 'amount'),
    ...(wet && { made: read(row.made, 'amount') }),
  }
  const plan = planApplication(request)
  if (!plan.ok) throw new Error('the table does not plan')
  const outcome = outcomeOf(request, plan.value, used, closedWorkingBook)
  if (!outcome.ok) throw new Error('the table has no outcome')
  const frozen = {
    coreVersion: '',
    site: '',
    equipment: '',
    calibration: '',
    labels: [],
    request,
    plan: plan.value,
  }
  return {
    state: 'done',
    frozen,
    startedAt: undefined,
    finishedAt: undefined,
    used,
    details: undefined,
    outcomes: outcome.value,
    problems: [],
    corrections: [],
    progress: NO_PROGRESS,
    gaps: [],
  }
}

test.each(readTable('laidDown.csv', import.meta.url))('$name: $words', (row) => {
  const laid = laidDown(recordOf(row)).find(({ areaId }) => areaId === row.area)
  expect(laid?.amount).toBeCloseTo(figure(row, 'amount'), 12)
  expect(laid?.sizeM2).toBeCloseTo(figure(row, 'sizeM2'), 9)
  if (row.nKg === '') expect(laid?.nutrients.n).toBeUndefined()
  else expect(laid?.nutrients.n).toBeCloseTo(figure(row, 'nKg'), 12)
})

test('the ledger is never rewritten: what is added makes it say the new thing', () => {
  const [row = {}] = readTable('laidDown.csv', import.meta.url)
  const before = laidDown(recordOf(row))
  const after = laidDown(recordOf({ ...row, left: '5 lb' }))
  expect(ledgerChange([], before)).toEqual(before)
  expect(ledgerChange(after, after)).toEqual([])
  const change = ledgerChange(before, after)
  expect(change).toHaveLength(2)
  for (const { areaId, amount, nutrients } of change) {
    const stood = before.find((one) => one.areaId === areaId)
    const stands = after.find((one) => one.areaId === areaId)
    expect((stood?.amount ?? 0) + amount).toBeCloseTo(stands?.amount ?? 0, 12)
    expect((stood?.nutrients?.n ?? 0) + (nutrients?.n ?? 0)).toBeCloseTo(stands?.nutrients?.n ?? 0, 12)
  }
  expect(ledgerChange(before, []).reduce((sum, { amount }) => sum + amount, 0)).toBeCloseTo(
    -before.reduce((sum, { amount }) => sum + amount, 0),
    12,
  )
})

test('without an outcome nothing is laid down', () => {
  const [row = {}] = readTable('laidDown.csv', import.meta.url)
  expect(laidDown({ ...recordOf(row), used: undefined })).toEqual([])
})

test.each([
  // 2 x 3 + 1 x 1.5 = 7.5 lb on 3,000 ft2: 2.5 on average. What was used is shared as it was planned, 4 to 1.
  ['as planned', '7.5', 0, [6, 1.5]],
  ['a tenth too much', '8.25', 0.1, [6.6, 1.65]],
  ['a fifth too little', '6', -0.2, [4.8, 1.2]],
] as const)('lawns at rates of their own, %s: %s lb used', (_, usedUp, deviation, pounds) => {
  const request: PlanRequest = {
    areas: [
      { id: 'a', size: { value: 2000, unit: 'ft2' } },
      {
        id: 'b',
        size: { value: 1000, unit: 'ft2' },
        rates: [{ id: 'p', rate: { value: 1.5, unit: 'lb/1000 ft2' } }],
      },
    ],
    products: [{ id: 'p', rate: { value: 3, unit: 'lb/1000 ft2' }, analysis: { n: 20 } }],
    method: { kind: 'spread', passes: 2 },
  }
  const plan = planApplication(request)
  if (!plan.ok) throw new Error('not planned')
  const used: Used = {
    treated: { value: 3000, unit: 'ft2' },
    putIn: [{ productId: 'p', amount: { value: 10, unit: 'lb' } }],
    left: { value: 10 - Number(usedUp), unit: 'lb' },
  }
  const outcome = outcomeOf(request, plan.value, used, closedWorkingBook)
  if (!outcome.ok) throw new Error('no outcome')
  const [told] = outcome.value
  expect(told?.plannedRate?.value).toBeCloseTo(2.5, 9)
  expect(told?.deviation).toBeCloseTo(deviation, 9)
  expect(told?.actualRate.value).toBeCloseTo(2.5 * (1 + deviation), 9)
  const frozen = {
    coreVersion: '',
    site: '',
    equipment: '',
    calibration: '',
    labels: [],
    request,
    plan: plan.value,
  }
  const laid = laidDown({
    state: 'done',
    frozen,
    startedAt: undefined,
    finishedAt: undefined,
    used,
    details: undefined,
    outcomes: outcome.value,
    problems: [],
    corrections: [],
    progress: NO_PROGRESS,
    gaps: [],
  })
  expect(laid.map(({ amount }) => amount / 0.45359237)).toEqual(pounds.map((one) => expect.closeTo(one, 9)))
  expect(laid.map(({ nutrients }) => (nutrients?.n ?? 0) / 0.45359237)).toEqual(
    pounds.map((one) => expect.closeTo(one / 5, 9)),
  )
})
