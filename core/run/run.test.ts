import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { figure, readTable } from '../../test/support/readTable'
import { planApplication } from '../plan/planApplication'
import type { PlanRequest } from '../plan/planRequest'
import { parseQuantity } from '../quantity/parseQuantity'
import { quantity, type Quantity } from '../quantity/quantity'
import type { AmountUnit, AreaUnit, RateUnit } from '../quantity/units'
import { closedWorkingBook, openWorkingBook } from '../working/working'
import { foldRun } from './foldRun'
import { outcomeOf, type Used } from './outcome'
import { DEFAULT_JUDGING, deviationRange, verdictOf, worstVerdict, type Verdict } from './verdict'
import type { RunEvent } from './runEvent'

const split = <U extends string>(text: string | undefined): Quantity<U> => {
  const read = parseQuantity(
    text ?? '',
    /\//.test(text ?? '') ? 'rate' : /ft2|m2|ac/.test(text ?? '') ? 'area' : 'amount',
    'lb' as never,
  )
  return read.ok ? (read.value as unknown as Quantity<U>) : quantity(0, 'lb' as U)
}

function planned(size: string | undefined, rate: string | undefined, method: string | undefined) {
  const request: PlanRequest = {
    areas: [{ id: 'a', size: split<AreaUnit>(size) }],
    products: [{ id: 'p', rate: split<RateUnit>(rate) }],
    method:
      method === 'wet'
        ? { kind: 'spray', carrier: quantity(1.3, 'gal/1000 ft2'), tank: quantity(26, 'gal'), loads: 'equal' }
        : { kind: 'spread', passes: 2, reserve: quantity(3, 'lb') },
  }
  const plan = planApplication(request)
  if (!plan.ok) throw new Error('the test plan does not plan')
  return { request, plan: plan.value }
}

test.each(readTable('outcome.csv', import.meta.url))('$name: $words', (row) => {
  const { request, plan } = planned(row.size, row.rate, row.method)
  const entries: Used = {
    treated: split<AreaUnit>(row.treated),
    putIn: [{ productId: 'p', amount: split<AmountUnit>(row.putIn) }],
    left: split<AmountUnit>(row.left),
    ...(row.made && { made: split<AmountUnit>(row.made) }),
  }
  const outcome = outcomeOf(request, plan, entries, closedWorkingBook)
  expect(outcome).toMatchObject({ ok: true, value: [{ verdict: row.verdict }] })
  if (!outcome.ok) return
  expect(outcome.value[0]?.used.value).toBeCloseTo(figure(row, 'used'), 9)
  expect(outcome.value[0]?.actualRate.value).toBeCloseTo(figure(row, 'actual'), 9)
  expect(outcome.value[0]?.deviation).toBeCloseTo(figure(row, 'deviation'), 9)
})

test.each([
  // House: good to 5 %, acceptable to 10 %.
  ['nobody knows how sure: the figure alone', 0.05, 0, 'good', '5 % over plan'],
  ['just over good', -0.051, 0, 'acceptable', '5.1 % under plan'],
  ['on what is acceptable', 0.1, 0, 'acceptable', '10 % over plan'],
  ['over it', -0.101, 0, 'off', '10 % under plan'],
  ['0 to 6 over: good or acceptable is no question', 0.03, 0.03, 'good', '0 to 6 % over plan'],
  ['4 to 10 under: acceptable at the worst', -0.07, 0.03, 'acceptable', '4 to 10 % under plan'],
  ['4 to 12 under: good and not acceptable', -0.08, 0.04, 'not certain', '4 to 12 % under plan'],
  ['6 to 20 under: never good', -0.13, 0.07, 'off', '6 to 20 % under plan'],
  ['6 under to 8 over: at the worst acceptable', 0.01, 0.07, 'good', '6 % under to 8 % over plan'],
  ['9 under to 11 over', 0.01, 0.1, 'not certain', '9 % under to 11 % over plan'],
] as const)('the one verdict, %s', (_, deviation, give, verdict, words) => {
  expect(verdictOf(deviation, give)).toBe(verdict)
  expect(deviationRange(deviation, give)).toBe(words)
})

test('a record is filed under what is surely worst', () => {
  const worst = (...verdicts: readonly Verdict[]) => worstVerdict(verdicts.map((verdict) => ({ verdict })))
  expect(worst('good', 'not certain', 'acceptable')).toBe('not certain')
  expect(worst('not certain', 'off')).toBe('off')
  expect(worst()).toBeUndefined()
})

test('the doubt of an outcome is that of the ground and of two weighings', () => {
  const { request, plan } = planned('1000 ft2', '4 lb/1000 ft2', 'dry')
  const stepped = { ...request, products: [{ ...request.products[0]!, measureStep: quantity(0.5, 'lb') }] }
  const entries: Used = {
    treated: quantity(1000, 'ft2'),
    putIn: [{ productId: 'p', amount: quantity(5, 'lb') }],
    left: quantity(1, 'lb'),
  }
  const judging = { ...DEFAULT_JUDGING, groundError: 0.02 }
  const outcome = outcomeOf(stepped, plan, entries, closedWorkingBook, judging)
  // 0.5 / root 12 x root 2 / 4 = 5.103 %; with 2 %: 5.481 %, twice that.
  expect(outcome.ok && outcome.value[0]?.give).toBeCloseTo(0.10962, 4)
  expect(outcome).toMatchObject({ ok: true, value: [{ verdict: 'not certain' }] })
})

test('contradictions are refused at their entry, never guessed', () => {
  const dry = planned('1000 ft2', '4 lb/1000 ft2', 'dry')
  const entries = (left: Quantity<AmountUnit>, put: Quantity<AmountUnit> = quantity(5, 'lb')): Used => ({
    treated: quantity(1000, 'ft2'),
    putIn: [{ productId: 'p', amount: put }],
    left,
  })
  const problem = (used: Used) => {
    const outcome = outcomeOf(dry.request, dry.plan, used, closedWorkingBook)
    return outcome.ok ? '' : outcome.error[0]?.path
  }
  expect(problem(entries(quantity(5, 'lb')))).toBe('left')
  expect(problem(entries(quantity(1, 'gal')))).toBe('left')
  expect(problem(entries(quantity(1, 'L'), quantity(5, 'L')))).toBe('putIn.p')
  const strip = (amount: number) => ({
    id: 's',
    name: '',
    size: quantity(100, 'ft2'),
    amount: quantity(amount, 'lb'),
  })
  // 1 lb left and 4 on the strip are all of the 5 that were put in: nothing went onto the lawn.
  expect(problem({ ...entries(quantity(1, 'lb')), strips: [strip(4)] })).toBe('strips')
  expect(problem({ ...entries(quantity(1, 'lb')), strips: [strip(3.9)] })).toBe('')
})

describe('fold', () => {
  const { request, plan } = planned('2604 ft2', '3.4 lb/1000 ft2', 'dry')
  const stamp = (n: number) => ({
    id: `e${n}`,
    deviceId: 'd1',
    sequence: n,
    counter: n,
    at: `2026-05-06T12:0${n}:00.000Z`,
  })
  const used: Used = {
    treated: quantity(2604, 'ft2'),
    putIn: [{ productId: 'p', amount: quantity(11.8536, 'lb') }],
    left: quantity(3, 'lb'),
  }
  const details = { by: 'T. Arkwright', licence: '', target: '', weather: '', remarks: '' }
  const events: RunEvent[] = [
    {
      ...stamp(1),
      kind: 'planned',
      payload: {
        coreVersion: '1.0.0',
        site: 'Marlow Court',
        equipment: '',
        calibration: '',
        labels: [{ productId: 'p', name: 'Granule', registration: '' }],
        request,
        plan,
      },
    },
    { ...stamp(2), kind: 'started', payload: {} },
    { ...stamp(3), kind: 'used', payload: used },
    { ...stamp(4), kind: 'finished', payload: details },
    {
      ...stamp(5),
      kind: 'corrected',
      payload: { field: 'left', now: quantity(3.5, 'lb'), reason: 'read the wrong scale' },
    },
    { ...stamp(6), kind: 'corrected', payload: { field: 'by', now: 'A. Birch', reason: 'wrong name' } },
  ]

  test('grows from planned to running to done', () => {
    expect([0, 1, 2, 3, 4].map((count) => foldRun(events.slice(0, count))?.state)).toEqual([
      undefined,
      'planned',
      'running',
      'running',
      'done',
    ])
    expect(foldRun(events.slice(0, 4))?.outcomes[0]).toMatchObject({
      verdict: 'good',
      actualRate: { value: expect.closeTo(3.4, 9) },
    })
  })

  test('who cleaned up before the record was written had finished by then', () => {
    const rest = (n: number, at: string): RunEvent => ({
      ...stamp(n),
      at,
      kind: 'stepped',
      payload: { step: 'rest', done: 'yes' },
    })
    const finished = (more: readonly RunEvent[]) => {
      const record = foldRun([...events.slice(0, 4), ...more])
      return [record?.finishedAt, record?.endedAt]
    }
    expect(finished([])).toEqual([stamp(4).at, undefined])
    const early = '2026-05-06T12:03:30.000Z'
    expect(finished([rest(7, early)])).toEqual([early, early])
    const late = '2026-05-06T13:00:00.000Z'
    expect(finished([rest(7, late)])).toEqual([stamp(4).at, late])
    // Entered afterwards, the hours that were written down count, whatever the steps say.
    const timed: RunEvent = {
      ...stamp(8),
      kind: 'timed',
      payload: { from: '2026-05-05T08:00:00.000Z', to: '2026-05-05T09:00:00.000Z' },
    }
    expect(finished([rest(7, early), timed])).toEqual(['2026-05-05T09:00:00.000Z', undefined])
  })

  test('what nobody has used yet has no strips; what was used has them with it', () => {
    const strip: RunEvent = {
      ...stamp(7),
      kind: 'strip',
      payload: { id: 's', name: 'verge', size: quantity(100, 'ft2'), amount: quantity(0.5, 'lb') },
    }
    expect(foldRun([...events.slice(0, 2), strip])?.used).toBeUndefined()
    expect(foldRun([...events.slice(0, 4), strip])?.used?.strips).toMatchObject([{ name: 'verge' }])
    expect(foldRun(events.slice(0, 4))?.used).not.toHaveProperty('strips')
  })

  test('a correction changes the outcome, and what it corrects stays readable', () => {
    const record = foldRun(events, openWorkingBook())
    expect(record?.corrections).toMatchObject([
      { field: 'left', was: { value: 3 }, now: { value: 3.5 }, reason: 'read the wrong scale' },
      { field: 'by', was: 'T. Arkwright', now: 'A. Birch' },
    ])
    expect(record?.outcomes[0]?.used.value).toBeCloseTo(8.3536, 9)
    expect(record?.details?.by).toBe('A. Birch')
    expect(events[2]).toMatchObject({ payload: { left: { value: 3 } } })
  })

  test('the order and number of arrivals do not matter', () => {
    fc.assert(
      fc.property(
        fc.shuffledSubarray(events, { minLength: events.length }),
        fc.subarray(events),
        (shuffled, repeated) => {
          expect(foldRun([...shuffled, ...repeated])).toEqual(foldRun(events))
        },
      ),
    )
  })

  test('a hole in a device’s sequence is told', () => {
    expect(foldRun(events)?.gaps).toEqual([])
    expect(foldRun(events.filter(({ sequence }) => sequence !== 3))?.gaps).toEqual(['d1'])
  })
})
