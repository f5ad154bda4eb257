import { expect, test } from 'vitest'
import { typed } from '../../../demo/typed'
import { lawn, part, product, spreaderCourse, spreading } from '../../../test/support/documents'
import { blankLanes } from '../../draft/blankApplication'
import { workOutApplication } from '../workOutJob'
import { isBed, isWater } from '../../lanes/lawns/buffers'
import type { LocalRule } from '../../rules/localRule'
import { askedBuffers } from './askedBuffers'
import { bufferExclusions } from './bufferExclusions'
import { labelMost } from './labelMost'
import { lanesAsked, lawnLayout } from './lanesAsked'

const lawns = [lawn('Front', [part('add', 'rectangle', { length: '100', width: '50' })])]
const feed = product('Feed', 'spread', { rate: typed('3', 'lb/1000 ft2') })
const draft = {
  ...spreading(lawns, [feed], {
    calibration: spreaderCourse('2026-05-01', '12', 'Feed', [['10', '9.1']]),
  }),
  lanes: blankLanes('us-1000'),
}
const DAY = '2026-05-06'

test('lanes at half the calibrated width lay twice as much on each pass', () => {
  const before = workOutApplication(draft, DAY).calibration!
  const lanes = { ...draft.lanes, apart: typed('5.5', 'ft') }
  const after = workOutApplication({ ...draft, lanes }, DAY).calibration!
  expect(after.width / before.width).toBeCloseTo(0.5, 9)
  expect(after.perPass / before.perPass).toBeCloseTo(2, 9)
})

test('what is asked follows what was typed; what can’t be read leaves the tool’s own and is told', () => {
  const askedFor = (lanes: typeof draft.lanes) => {
    const worked = workOutApplication({ ...draft, lanes }, DAY)
    const beside = { buffers: { water: undefined, beds: undefined }, hopper: 5, bearing: 10 }
    return { worked, asked: lanesAsked({ ...draft, lanes }, worked, lawnLayout(draft, worked), beside)! }
  }
  const [{ id = '' } = {}] = lawns
  const { asked } = askedFor({ ...draft.lanes, headers: '2', lawns: [{ id, direction: '45' }] })
  expect(asked).toMatchObject({ headers: 2, passes: 2, lawns: [{ direction: 35 }] })
  expect(asked.batches[0]?.holds).toBe(5)
  const contour = askedFor({ ...draft.lanes, aim: 'contour', downhill: 'E' })
  expect(contour.asked.lawns[0]?.direction).toBe(-10)
  const { asked: own, worked } = askedFor({ ...draft.lanes, lawns: [{ id, direction: 'up' }] })
  expect(own.lawns[0]?.direction).toBe(undefined)
  expect(worked.problems.map(({ path }) => path)).toContain('lanes.direction')
})

test('the most of two labels is the one that allows least over its rate', () => {
  const other = product('Other', 'spread', {
    rate: typed('2', 'lb/1000 ft2'),
    most: typed('3', 'lb/1000 ft2'),
  })
  const most = (over: string) => ({ ...feed, most: typed(over, 'lb/1000 ft2' as const) })
  expect(labelMost({ products: [most('3.6'), other] })).toBeCloseTo(1.2, 9)
  expect(labelMost({ products: [{ ...most('4'), limitBasis: 'n' }] })).toBe(undefined)
})

test('a buffer is the widest that is asked for, until a hand types one; taken out it asks for none', () => {
  const rule = (kind: LocalRule['kind'], limit: string): LocalRule => ({
    id: kind + limit,
    kind,
    from: '',
    to: '',
    limit,
    source: '',
  })
  const local = [rule('buffer to water', '10'), rule('buffer to water', '25'), rule('buffer to beds', '3')]
  const library = { products: [], local }
  const { water, beds } = askedBuffers(draft, library)
  expect([water?.words, beds?.words]).toEqual(['25 ft', '3 ft'])
  const lanes = { ...draft.lanes, buffer: typed('5', 'ft'), bedBuffer: typed('0', 'ft') }
  const byHand = askedBuffers({ ...draft, lanes }, library)
  expect([byHand.water?.words, byHand.beds?.metres]).toEqual(['5 ft', 0])
  const ring = [
    [0, 0],
    [1, 0],
    [1, 1],
  ] as const
  const [part] = bufferExclusions({ size: 1, ground: [[ring]] }, '25 ft', 'us-1000', () => 'new')
  expect(part).toMatchObject({ sign: 'subtract', shape: 'outline', outline: { from: 'drawn', points: ring } })
  expect([isWater(part?.what ?? ''), isBed(part?.what ?? '')]).toEqual([false, false])
})
