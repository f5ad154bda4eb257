import { expect, test } from 'vitest'
import { readTable } from '../../test/support/readTable'
import { planApplication } from '../plan/planApplication'
import type { PlanRequest } from '../plan/planRequest'
import { quantity } from '../quantity/quantity'
import { KILOGRAMS_PER } from '../quantity/units'
import { openWorkingBook } from '../working/working'
import { foldRun } from './foldRun'
import { laidDown } from './laidDown'
import { outcomeOf } from './outcome'
import type { Correction, RunEvent } from './runEvent'

const numbers = (text: string | undefined) => (text ?? '').split(';').map(Number)
const stamp = (n: number) => ({
  id: `e${n}`,
  deviceId: 'd1',
  sequence: n,
  counter: n,
  at: '2026-05-06T12:00:00.000Z',
})

/** A run of 14.2 lb weighed in and 3 lb weighed back: 11.2 lb used. */
function run(
  sizes: string | undefined,
  apart: readonly number[],
  treated = '3650 ft2',
  correction?: Correction,
) {
  const areas = (sizes ?? '')
    .split(';')
    .map((text, i) => ({ text: text.split(' ').map(Number), id: `a${i + 1}` }))
    .map(({ id, text: [size = 0, rate = 0] }) => ({
      id,
      size: quantity(size, 'ft2' as const),
      rates: [{ id: 'p', rate: quantity(rate, 'lb/1000 ft2' as const) }],
    }))
  const request: PlanRequest = {
    areas,
    products: [{ id: 'p', rate: quantity(3.4, 'lb/1000 ft2'), analysis: { n: 20 } }],
    method: { kind: 'spread', passes: 2, reserve: quantity(3, 'lb') },
  }
  const plan = planApplication(request)
  if (!plan.ok) throw new Error(plan.error[0]?.message)
  const events: RunEvent[] = [
    {
      ...stamp(1),
      kind: 'planned',
      payload: {
        coreVersion: '',
        site: '',
        equipment: '',
        calibration: '',
        labels: [],
        request,
        plan: plan.value,
      },
    },
    {
      ...stamp(2),
      kind: 'used',
      payload: {
        treated: quantity(Number(treated.split(' ')[0]), 'ft2'),
        putIn: [{ productId: 'p', amount: quantity(14.2, 'lb') }],
        left: quantity(3, 'lb'),
        apart: apart.map((one) => quantity(one, 'lb')),
      },
    },
    ...(correction ? [{ ...stamp(3), kind: 'corrected' as const, payload: correction }] : []),
  ]
  const book = openWorkingBook()
  const record = foldRun(events, book)
  if (!record) throw new Error('no record')
  return { record, pages: book.pages() }
}

test.each(readTable('apart.csv', import.meta.url))(
  '$name: $words',
  ({ sizes, apart, treated, deviations, rates, verdicts, ledger }) => {
    const { record, pages } = run(sizes, numbers(apart), treated)
    const told = record.outcomes[0]?.apart ?? []
    expect(told.map(({ deviation }) => deviation)).toEqual(
      numbers(deviations).map((one) => expect.closeTo(one, 9)),
    )
    expect(told.map(({ actualRate }) => actualRate.value)).toEqual(
      numbers(rates).map((one) => expect.closeTo(one, 8)),
    )
    expect(told.map(({ verdict }) => verdict).join(';')).toBe(verdicts)
    expect(pages.filter(({ figure }) => /^outcome\.p\.\d+$/.test(figure))).toHaveLength(told.length)
    // The ledger counts lawn by lawn what was weighed onto it; the sum is what was used.
    const laid = laidDown(record).map(({ amount }) => amount / KILOGRAMS_PER.lb)
    expect(laid).toEqual(numbers(ledger).map((one) => expect.closeTo(one, 8)))
    expect(laid.reduce((sum, one) => sum + one, 0)).toBeCloseTo(11.2, 9)
  },
)

test(
  'what leaves nothing for the last lawn is refused at its entry; a correction of one part changes the ' +
    'rest; weighed as one stays as planned',
  () => {
    const two = '2550 3.4;1100 2.4'
    expect(run(two, [11.2]).record.problems).toMatchObject([{ path: 'apart.0' }])
    const corrected = run(two, [8.8], undefined, {
      field: 'apart.0',
      now: quantity(8.56, 'lb'),
      reason: 'read the wrong line',
    })
    expect(corrected.record.outcomes[0]?.apart?.map(({ used }) => used.value)).toEqual([
      expect.closeTo(8.56, 9),
      expect.closeTo(2.64, 9),
    ])
    expect(corrected.record.corrections).toMatchObject([{ field: 'apart.0', was: { value: 8.8 } }])
    expect(run(two, []).record.outcomes[0]?.apart).toBeUndefined()
  },
)

test('wet work at two rates is told apart by the spray that went onto each, at its own strength', () => {
  const on = (id: string, size: number, p: number, s: number) => ({
    id,
    size: quantity(size, 'ft2'),
    rates: [
      { id: 'p', rate: quantity(p, 'fl oz/1000 ft2') },
      { id: 's', rate: quantity(s, 'fl oz/1000 ft2') },
    ],
  })
  const request: PlanRequest = {
    areas: [on('a1', 4000, 4, 1), on('a2', 2000, 2, 1)],
    products: [
      { id: 'p', rate: quantity(4, 'fl oz/1000 ft2') },
      { id: 's', rate: quantity(1, 'fl oz/1000 ft2') },
    ],
    method: {
      kind: 'spray',
      carrier: quantity(1, 'gal/1000 ft2'),
      tank: quantity(10, 'gal'),
      loads: 'full-then-part',
    },
  }
  const plan = planApplication(request)
  if (!plan.ok) throw new Error(plan.error[0]?.message)
  // Mixed as planned: 4 gal with 16 and 4 fl oz, 2 gal with 4 and 2; half a gallon came back.
  const used = {
    treated: quantity(6000, 'ft2'),
    putIn: [
      { productId: 'p', amount: quantity(20, 'fl oz') },
      { productId: 's', amount: quantity(6, 'fl oz') },
    ],
    made: quantity(6, 'gal'),
    left: quantity(0.5, 'gal'),
    apart: [quantity(3, 'gal')],
  }
  const outcome = outcomeOf(request, plan.value, used, openWorkingBook())
  if (!outcome.ok) throw new Error(outcome.error[0]?.message)
  const [p, s] = outcome.value
  // 3 of 4 gal hold 12 of 16 fl oz of p and 3 of 4 of s; of the 20 x 5.5 / 6 = 18.333 and the 5.5 the rest.
  expect(p?.apart?.map((one) => one.used.value)).toEqual([
    expect.closeTo(12, 9),
    expect.closeTo((20 * 5.5) / 6 - 12, 9),
  ])
  expect(s?.apart?.map((one) => one.used.value)).toEqual([expect.closeTo(3, 9), expect.closeTo(2.5, 9)])
  expect(p?.apart?.map(({ deviation }) => deviation)).toEqual([
    expect.closeTo(-0.25, 9),
    expect.closeTo(((20 * 5.5) / 6 - 12) / 4 - 1, 9),
  ])
})
