import fc from 'fast-check'
import { expect, test } from 'vitest'
import { figure, readTable } from '../../../test/support/readTable'
import type { PlanRequest } from '../../plan/planRequest'
import { planApplication } from '../../plan/planApplication'
import { sumOf } from '../../quantity/counting'
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
  for (const name of ['should', 'deviation', 'factor', 'laid', 'endsAt', 'short'] as const)
    expect(result?.[name], name).toBeCloseTo(figure(row, name), 9)
  expect(sumOf(result?.lacking ?? [], ({ amount }) => amount)).toBeCloseTo(optional(row.lacks) ?? 0, 9)
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

test('no ground ahead gets more than was planned for it, nor than its label’s most over all passes', () => {
  fc.assert(
    fc.property(
      fc.integer({ min: 1, max: 3 }),
      fc.array(fc.double({ min: 0.3, max: 1.6, noNaN: true }), { minLength: 1, maxLength: 8 }),
      fc.double({ min: 1, max: 1.3, noNaN: true }),
      fc.double({ min: 0.1, max: 0.9, noNaN: true }),
      (passes, offs, most, step) => {
        const perPass = 12 / 300 / passes
        let [left, done] = [15, 0]
        const rests: RestFound[] = []
        const laid: { from: number; to: number; perPass: number }[] = []
        let flow = perPass
        // As walked: each stretch is off by some share; at each rest the answer is followed to the letter.
        for (const off of offs) {
          const to = Math.min(Math.floor(done + 1e-9) + 1, done + step)
          if (to > passes + 1e-9) break
          laid.push({ from: done, to, perPass: flow * off })
          left -= flow * off * (to - done) * 300
          done = to
          rests.push({ done, left, doubt: 0 })
          const result = checkpointResult({ ...question, passes, most, charge: 15, rests })
          if (!result || ['stop', 'enough', 'run out'].includes(result.answer) || done > passes - 1e-9) break
          const pass = Math.floor(done + 1e-9)
          const before = sumOf(
            Array.from({ length: pass }, (_, k) =>
              Math.max(...laid.filter((one) => Math.floor(one.from + 1e-9) === k).map((one) => one.perPass)),
            ),
            (largest) => largest,
          )
          // Passes to come are each put right again before they begin.
          expect(before + result.needed).toBeLessThanOrEqual((12 / 300) * most * (1 + 1e-9))
          if (pass === 0) expect(result.needed).toBeLessThanOrEqual(perPass * (1 + 1e-9))
          flow = result.answer === 'correct' ? result.laidPerPass * result.factor : result.laidPerPass
          expect(before + flow).toBeLessThanOrEqual((12 / 300) * most * (1 + 1e-9))
        }
      },
    ),
    { numRuns: 500 },
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
  // 1 kg is 2.20 lb; used 5 of 6. Dial 13.4 gives 1.18 times the flow: 5 + 5 x 1.18 of 12.
  [
    'by the curve',
    {},
    { corrected: { setting: '13.4', reached: 1.18, by: 'curve' } },
    undefined,
    '2.20 lb behind: 17 % under so far.',
    'Open to 13.4 (was 12.6) for the rest. Keep 3.1 mph.',
    (5 + 5 * 1.18) / 12,
  ],
  // 1.386 m/s / 1.2 = 1.155 m/s = 2.6 mph; the half behind stays at 5 of its 6.
  [
    'without a curve',
    {},
    {},
    undefined,
    '2.20 lb behind: 17 % under so far.',
    'Walk at 2.6 mph for the rest, dial 12.6 as it is.',
    11 / 12,
  ],
  [
    'without curve and pace',
    {},
    { pace: undefined },
    undefined,
    '2.20 lb behind: 17 % under so far.',
    'The rest needs 20 % more flow: say where the dial stands, and its new number is worked out.',
    10 / 12,
  ],
  // Half the flow near two thirds of the setting: 12.6 x 1.2^(1 / 1.7095) = 14.0.
  [
    'a guess where the pace is not known either',
    {},
    { pace: undefined, corrected: { setting: '14', reached: 1.2, by: 'guess' } },
    undefined,
    '2.20 lb behind: 17 % under so far.',
    'Open to 14 (was 12.6) for the rest, a guess: nothing tested reaches there.',
    11 / 12,
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
  expect(correctedDial([curve], '12', 1.2)).toMatchObject({ setting: '13.2', by: 'curve' })
  // Three times the flow is beyond all that was tested: 12 x 3^(1 / 1.7095) = 22.8, a guess.
  expect(correctedDial([curve], '12', 3)).toMatchObject({ setting: '22.8', by: 'guess' })
  expect(correctedDial([], '6', 2)).toMatchObject({ setting: '9', by: 'guess' })
  expect(correctedDial([curve], '', 1.2)).toBeUndefined()
})

test('a checkpoint shows its working', () => {
  const book = openWorkingBook()
  checkpointResult({ ...question, most: 1.25 }, book)
  expect(book.pages()[0]?.lines.join('\n')).toMatch(/new flow = old flow x 0.04 \/ 0.0333333/)
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

test('what is left is held against the label where most went down, not against the mean', () => {
  // 12 meant, 11 laid, 1 over: 12 of 12. Where a heavy half lies 1.15 times, it is 1.15 + 1 / 12 = 1.233.
  const question = { over: 1, laid: 11, amount: 12, size: 300, most: 1.2 }
  expect(leftoverResult(question)).toMatchObject({ answer: 'spread', then: 1 })
  expect(leftoverResult({ ...question, heaviest: 1.15 })).toMatchObject({ answer: 'keep', then: 1 })
  // 1.1 + 1 / 12 = 1.183: there is room.
  expect(leftoverResult({ ...question, heaviest: 1.1 }).answer).toBe('spread')
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
