import { expect, test } from 'vitest'
import { typed } from '../../demo/typed'
import { lawn, part, product, spreaderCourse, spreading } from '../../test/support/documents'
import type { LibraryCalibration } from '../calibration/calibrationInForce'
import { EMPTY_LIBRARY, familyChecks, ofMachine, workedWith } from '../../test/support/worked'

const DAY = '2026-05-06'
/** Weighed in 10 lb over 48 ft x 11 ft at 3.1 mph: so many pounds went down. */
const made = (setting: string, pounds: number): LibraryCalibration => ({
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
function worked(rate: string, dial = '', kept = [made('8', 0.528), made('12', 1.056)]) {
  const document = spreading([front], [product('Granule', 'spread', { rate: typed(rate, 'lb/1000 ft2') })], {
    passes: 1,
    dial,
    source: { id: 'spreader', version: 1 },
    calibration: spreaderCourse('2026-05-01', '12', 'Granule', [['10', '8.944']]),
  })
  return workedWith(document, DAY, {
    library: { ...EMPTY_LIBRARY, calibrations: ofMachine(document, kept) },
  })
}

// Straight between 8 (0.528 lb on 528 ft2: 1 lb/1000 ft2) and 12 (2 lb): 1.5 lb asks for 10.
test.each([
  ['the calibrated setting gives it', '2', '', '12', 'calibration', ''],
  ['told as a hand can set it: 8 + 4 x (1.52 - 1) is 10.08', '1.52', '', '10.1', 'curve', 'note'],
  ['within 5 % of it', '1.91', '', '12', 'calibration', ''],
  ['beyond: the curve is read', '1.5', '', '10', 'curve', 'note'],
  ['another setting by hand, right by the curve', '1.5', '10', '10', 'hand', ''],
  ['the dial 5 % off still does', '1.5', '10.29', '10.29', 'hand', ''],
  ['the dial further off', '1.5', '10.4', '10.4', 'hand', 'warn'],
  ['a dial nobody tested', '1.5', '20', '20', 'hand', 'warn'],
  ['a rate nobody tested', '9', '', '12', 'untested', ''],
] as const)('%s', (_, rate, typedDial, setting, from, level) => {
  const sheet = worked(rate, typedDial)
  expect(sheet.dial).toMatchObject({ setting, from })
  const [check] = familyChecks(sheet, 'The dial')
  expect(check?.level ?? '').toBe(level)
  // Setting by hand gives way to the answer of the curve.
  if (level === 'warn') expect(check?.remedies[0]).toMatchObject({ label: 'Set the dial to 10', value: '' })
})

test('one tested setting is a guess and stays on the bench; the check says that the setting is off', () => {
  const sheet = worked('1.5', '', [made('12', 1.056)])
  expect(sheet.dial).toMatchObject({ setting: '12', from: 'untested' })
  expect(sheet.checks.map(({ code }) => code)).toContain('setting-off')
  expect(worked('1.5').checks.map(({ code }) => code)).not.toContain('setting-off')
})

test('without a timed pace the last that the machine was timed at is offered, else a walk', () => {
  const untimed = {
    ...spreaderCourse('2026-05-01', '12', 'Granule', [['10', '8.944']]),
    speed: typed('', 'mph' as const),
  }
  const asked = (kept: readonly LibraryCalibration[]) => {
    const document = spreading([front], [product('Granule', 'spread', { rate: typed('2', 'lb/1000 ft2') })], {
      source: { id: 'spreader', version: 1 },
      calibration: untimed,
    })
    const library = { ...EMPTY_LIBRARY, calibrations: ofMachine(document, kept) }
    return familyChecks(workedWith(document, DAY, { library }), 'Calibration').find(
      ({ code }) => code === 'pace-unknown',
    )?.remedies[0]
  }
  expect(asked([made('12', 1)])).toMatchObject({ value: typed('3.10', 'mph'), path: 'spread.speedToday' })
  expect(asked([])).toMatchObject({ value: typed('3', 'mph') })
  expect(familyChecks(worked('2'), 'Calibration').map(({ code }) => code)).not.toContain('pace-unknown')
})
