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
    products: [{ id: 'p', rate: read(row.rate, 'rate'), analysis: { n: Number(row.analysis) }, ...(row.density && { density: read(row.density, 'density') }) }],
    method: wet ? { kind: 'spray', carrier: { value: 1.3, unit: 'gal/1000 ft2' }, tank: { value: 26, unit: 'gal' }, loads: 'equal' } : { kind: 'spread', passes: 2 },
  }
  const used: Used = {
    treated: read(row.treated, 'area'), putIn: [{ productId: 'p', amount: read(row.putIn, 'amount') }], left: read(row.left, 'amount'), ...(wet && { made: read(row.made, 'amount') }),
  }
  const plan = planApplication(request)
  if (!plan.ok) throw new Error('the table does not plan')
  const outcome = outcomeOf(request, plan.value, used, closedWorkingBook)
  if (!outcome.ok) throw new Error('the table has no outcome')
  const frozen = { coreVersion: '', site: '', equipment: '', calibration: '', labels: [], request, plan: plan.value }
  return { state: 'done', frozen, startedAt: undefined, finishedAt: undefined, used, details: undefined, outcomes: outcome.value, problems: [], corrections: [], gaps: [] }
}

test.each(readTable('laidDown.csv', import.meta.url))('$name: $words', (row) => {
  const laid = laidDown(recordOf(row)).find(({ areaId }) => areaId === row.area)
  expect(laid?.amount).toBeCloseTo(figure(row, 'amount'), 12)
  expect(laid?.sizeM2).toBeCloseTo(figure(row, 'sizeM2'), 9)
  if (row.nKg === '') expect(laid?.nutrients).toBeUndefined()
  else expect(laid?.nutrients?.n).toBeCloseTo(figure(row, 'nKg'), 12)
})

test('the ledger is never rewritten: what is added makes it say the new thing, and a repeat adds nothing', () => {
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
  expect(ledgerChange(before, []).reduce((sum, { amount }) => sum + amount, 0)).toBeCloseTo(-before.reduce((sum, { amount }) => sum + amount, 0), 12)
})

test('without an outcome nothing is laid down', () => {
  const [row = {}] = readTable('laidDown.csv', import.meta.url)
  expect(laidDown({ ...recordOf(row), used: undefined })).toEqual([])
})
