import fc from 'fast-check'
import { expect, test } from 'vitest'
import { figure, readTable } from '../../../test/support/readTable'
import type { PlanRequest } from '../../plan/planRequest'
import { planApplication } from '../../plan/planApplication'
import { areaSi, quantity } from '../../quantity/quantity'
import { openWorkingBook } from '../../working/working'
import { settingCurve } from '../../calibration/settingCurve'
import { correctedDial } from './correctedDial'
import { checkpointWords, type CheckpointMachine } from './checkpointWords'
import { checkpointResult, type CheckpointQuestion, type RestFound } from './checkpoint'
import { leftoverResult, passesToCome, shortAmount } from './leftover'
import { doubtOfRest } from './reading'
import { loadsToCome } from './remainingLoads'
import { weighingResult } from './weighing'

const optional = (text: string | undefined) => (text ? Number(text) : undefined)

/** `0.5:9` is nine left half way. */
const restsOf = (text = ''): RestFound[] =>
  text.split(' ').map((one) => {
    const [done = '', left = ''] = one.split(':')
    return { done: Number(done), left: Number(left), doubt: 0 }
  })

test.each(readTable('checkpoint.csv', import.meta.url))('checkpoint, $name: $words', (row) => {
  const result = checkpointResult({
    amount: figure(row, 'amount'),
    size: figure(row, 'size'),
    passes: figure(row, 'passes'),
    charge: figure(row, 'charge'),
    chargeDoubt: 0,
    rests: restsOf(row.rests),
    most: optional(row.most),
    good: 0.05,
  })
  expect(result?.answer).toBe(row.answer)
  for (const name of ['should', 'deviation', 'factor', 'laid', 'endsAt'] as const)
    expect(result?.[name], name).toBeCloseTo(figure(row, name), 9)
})

const question: CheckpointQuestion = {
  amount: 12,
  size: 300,
  passes: 1,
  charge: 15,
  chargeDoubt: 0,
  rests: [{ done: 0.5, left: 10, doubt: 0 }],
  most: undefined,
  good: 0.05,
}
const judged = (way: 'weighed' | 'read' | 'eye', left: number) =>
  checkpointResult({
    ...question,
    rests: [{ done: 0.5, left, doubt: doubtOfRest(way, 15, 0.2) }],
  })?.answer

test('a coarse reading widens the answer: by eye nothing is changed before it was weighed', () => {
  // 7 / 5 of the flow: a correction on a scale of 0.2 lb, and too large a one for an eye (1.5 lb either way).
  expect(judged('weighed', 10)).toBe('correct')
  expect(judged('eye', 10)).toBe('weigh first')
  // 6.4 / 5.6: 14 %, and by eye the factor is give or take 0.8; by a scale 0.03.
  expect(judged('eye', 9.4)).toBe('carry on')
  expect(judged('weighed', 9.4)).toBe('correct')
})

test('nothing is said while no ground is behind', () => {
  expect(checkpointResult({ ...question, rests: [] })).toBeUndefined()
  expect(checkpointResult({ ...question, rests: restsOf('0:15') })).toBeUndefined()
})

test('at the corrected flow the whole amount is laid in the end, whatever was found', () => {
  fc.assert(
    fc.property(
      fc.double({ min: 0.1, max: 0.9, noNaN: true }),
      fc.double({ min: 0.4, max: 1.8, noNaN: true }),
      fc.integer({ min: 1, max: 3 }),
      (done, off, passes) => {
        const used = ((12 * done) / passes) * off
        const result = checkpointResult({
          ...question,
          passes,
          rests: [{ done, left: 15 - used, doubt: 0 }],
        })
        if (!result || result.needed === 0) return
        const rest = result.laidPerPass * result.factor * 300 * (passes - done)
        expect(used + rest).toBeCloseTo(12, 9)
      },
    ),
  )
})

const machine: CheckpointMachine = { dial: '12.6', corrected: undefined, pace: 1.386 }
const said = (rest: Partial<RestFound>, of: Partial<CheckpointMachine> = {}, most?: number) => {
  const rests = [{ done: 0.5, left: 10, doubt: 0, ...rest }]
  const result = checkpointResult({ ...question, rests, most })
  return result && checkpointWords(result, rests[0]!, { ...machine, ...of }, 'us-1000')
}

test.each<
  [string, Partial<RestFound>, Partial<CheckpointMachine>, number | undefined, string, string, number]
>([
  ['on plan', { left: 9 }, {}, undefined, 'On plan so far.', 'Carry on. Keep 3.1 mph.', 1],
  // 1 kg is 2.20 lb; used 5 of 6. Dial 13.4 gives 1.38 times the flow: 5 + 5 x 1.38 of 12.
  [
    'by the curve',
    {},
    { corrected: { setting: '13.4', reached: 1.38 } },
    undefined,
    '2.20 lb behind: 17 % under so far.',
    'Open to 13.4 (was 12.6) for the rest. Keep 3.1 mph.',
    (5 + 5 * 1.38) / 12,
  ],
  // 1.386 m/s / 1.4 = 0.99 m/s = 2.2 mph.
  [
    'without a curve',
    {},
    {},
    undefined,
    '2.20 lb behind: 17 % under so far.',
    'Walk at 2.2 mph for the rest, dial 12.6 as it is.',
    1,
  ],
  [
    'without curve and pace',
    {},
    { pace: undefined },
    undefined,
    '2.20 lb behind: 17 % under so far.',
    'The rest needs 40 % more flow: open the gate a little and weigh again after the next lanes.',
    10 / 12,
  ],
  [
    'over the label',
    { left: 7 },
    {},
    1.25,
    '4.41 lb ahead: 33 % over so far.',
    'Stop: the ground behind has 133 % of what is meant, over the label’s most. Don’t go over it again; ' +
      'ask before the rest goes on.',
    8 / 6,
  ],
])('what a checkpoint says, %s', (_, rest, of, most, stands, act, endsAt) => {
  const words = said(rest, of, most)
  expect(words).toMatchObject({ stands, act })
  expect(words?.endsAt).toBeCloseTo(endsAt, 9)
})

test('the dial for another flow goes by the curve, from where it stood', () => {
  const point = (setting: number, flow: number) => ({ setting, flow, age: 0 })
  const curve = settingCurve([point(10, 0.02), point(12, 0.03), point(14, 0.04)])
  // A straight curve, 5 g/s a mark: at 12 it gives 30 g/s, 1.2 times that is 36 g/s at 13.2.
  expect(correctedDial(curve, '12', 1.2)).toMatchObject({ setting: '13.2' })
  expect(correctedDial(curve, '12', 3)).toBeUndefined()
  expect(correctedDial(curve, '', 1.2)).toBeUndefined()
})

test('a checkpoint shows its working', () => {
  const book = openWorkingBook()
  checkpointResult({ ...question, most: 1.25 }, book)
  expect(book.pages()[0]?.lines.join('\n')).toMatch(/new flow = old flow x 0.0466667 \/ 0.0333333/)
})

test.each(readTable('weighing.csv', import.meta.url))('weighing, $name: $words', (row) => {
  const result = weighingResult({
    wanted: figure(row, 'wanted'),
    forGround: figure(row, 'forGround'),
    shown: figure(row, 'shown'),
    size: figure(row, 'size'),
    step: figure(row, 'step'),
    most: optional(row.most),
  })
  expect(result?.answer).toBe(row.answer)
  for (const name of ['over', 'deviation', 'takeOut', 'moreLawn'] as const)
    expect(result?.[name], name).toBeCloseTo(figure(row, name), 9)
})

function sprayed(row: Record<string, string>): PlanRequest {
  const most = optional(row.most)
  return {
    areas: [{ id: 'a', size: quantity(figure(row, 'size'), 'ft2') }],
    products: [
      {
        id: 'p',
        rate: quantity(figure(row, 'rate'), 'fl oz/1000 ft2'),
        ...(most !== undefined && { limits: { maxPerApplication: quantity(most, 'fl oz/1000 ft2') } }),
      },
    ],
    method: {
      kind: 'spray',
      carrier: quantity(figure(row, 'carrier'), 'gal/1000 ft2'),
      tank: quantity(figure(row, 'tank'), 'gal'),
      loads: 'full-then-part',
    },
  }
}

test.each(readTable('remainingLoads.csv', import.meta.url))('loads to come, $name: $words', (row) => {
  const answer = loadsToCome(sprayed(row), [
    {
      sprayed: quantity(figure(row, 'sprayed'), 'gal'),
      covered: areaSi(quantity(figure(row, 'covered'), 'ft2')),
      products: [
        { id: 'p', amount: quantity(10, 'fl oz'), measured: quantity(figure(row, 'measured'), 'fl oz') },
      ],
    },
  ])
  expect(answer?.carrierOver).toBeCloseTo(figure(row, 'over'), 9)
  expect(answer?.laid[0]?.share).toBeCloseTo(figure(row, 'share'), 9)
  expect(answer?.laid[0]?.overLabel ? 'yes' : 'no').toBe(row.overLabel)
  expect(answer?.rest).toBeCloseTo(areaSi(quantity(figure(row, 'rest'), 'ft2')), 6)
  expect(answer?.loads).toHaveLength(figure(row, 'loads'))
  expect(answer?.loads[0]?.carrier.value).toBeCloseTo(figure(row, 'firstCarrier'), 6)
  expect(answer?.loads[0]?.products[0]?.amount.value).toBeCloseTo(figure(row, 'firstProduct'), 6)
  expect(answer?.pace).toBeCloseTo(figure(row, 'pace'), 9)
})

test('a dry job has no loads to mix', () => {
  const dry: PlanRequest = {
    areas: [{ id: 'a', size: quantity(1000, 'ft2') }],
    products: [{ id: 'p', rate: quantity(3, 'lb/1000 ft2') }],
    method: { kind: 'spread', passes: 1 },
  }
  expect(planApplication(dry).ok).toBe(true)
  expect(loadsToCome(dry, [])).toBeUndefined()
})

test.each(readTable('leftover.csv', import.meta.url))('leftover, $name: $words', (row) => {
  const result = leftoverResult({
    over: figure(row, 'over'),
    laid: figure(row, 'laid'),
    amount: figure(row, 'amount'),
    size: figure(row, 'size'),
    most: optional(row.most),
  })
  expect(result.answer).toBe(row.answer)
  expect(result.perArea).toBeCloseTo(figure(row, 'perArea'), 9)
  expect(result.then).toBeCloseTo(figure(row, 'then'), 9)
})

test('ran short: the planned rate on the ground that was not reached', () => {
  // 12 kg on 300 m2 are 40 g on each; 45 m2 were not reached.
  expect(shortAmount(45, 12, 300)).toBeCloseTo(1.8, 12)
})

test.each([
  ['two and a half rounds', 5, 2, 3, 0.5],
  ['one whole', 2, 2, 1, 1],
  ['out', 0, 2, 0, 0],
  ['nothing came out', 5, 0, 0, 0],
])('light passes to come, %s', (_, left, used, passes, last) => {
  expect(passesToCome(left, used)).toEqual({ passes, last })
})
