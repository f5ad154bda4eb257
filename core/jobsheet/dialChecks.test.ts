import { expect, test } from 'vitest'
import { typed } from '../../demo/typed'
import { lawn, part, product, spreaderCourse, spreading } from '../../test/support/documents'
import type { KeptCalibration } from '../calibration/calibrationInForce'
import { composeSheet } from './applicationSheet'
import { dialChecks, dialOf } from './dialChecks'

const DAY = '2026-05-06'
/** Weighed in 10 lb over 48 ft x 11 ft at 3.1 mph: so many pounds went down. */
const made = (setting: string, pounds: number): KeptCalibration => ({
  id: setting,
  version: 1,
  document: {
    schema: 1,
    kind: 'spread',
    heldBy: '',
    by: '',
    notes: '',
    course: spreaderCourse('2026-05-01', setting, 'Granule', [['10', String(10 - pounds)]]),
  },
})
const front = lawn('Front', [part('add', 'rectangle', { length: '100', width: '50' })])
function checks(rate: string, dial = '', kept = [made('8', 0.528), made('12', 1.056)]) {
  const document = spreading([front], [product('Granule', 'spread', { rate: typed(rate, 'lb/1000 ft2') })], {
    passes: 1,
    dial,
    calibration: spreaderCourse('2026-05-01', '12', 'Granule', [['10', '8.944']]),
  })
  return dialChecks(document, composeSheet(document, DAY), kept, [], DAY)
}

// Straight between 8 (0.528 lb on 528 ft2: 1 lb/1000 ft2) and 12 (2 lb): 1.5 lb asks for 10.
test.each([
  ['the calibrated setting gives it', '2', '', '', undefined],
  ['told as a hand can set it: 8 + 4 x (1.52 - 1) is 10.08', '1.52', '', 'note', '10.1'],
  ['within 5 % of it', '1.91', '', '', undefined],
  ['beyond: the curve is read', '1.5', '', 'note', '10'],
  ['the dial taken from it', '1.5', '10', 'note', undefined],
  ['the dial 5 % off still does', '1.5', '10.29', 'note', undefined],
  ['the dial further off', '1.5', '10.4', 'warn', '10'],
  ['a dial nobody tested', '1.5', '20', 'warn', '10'],
  ['a rate nobody tested', '9', '', '', undefined],
] as const)('%s', (_, rate, dial, level, says) => {
  const [check] = checks(rate, dial)
  expect(check?.level ?? '').toBe(level)
  expect(check?.remedies[0]?.value).toBe(says)
})

test('one tested setting is a guess and stays on the bench', () => {
  expect(checks('1.5', '', [made('12', 1.056)])).toEqual([])
  expect([
    dialOf({ calibration: spreaderCourse('', '12', '', []) }),
    dialOf({ dial: ' 10 ', calibration: spreaderCourse('', '12', '', []) }),
  ]).toEqual(['12', '10'])
})
