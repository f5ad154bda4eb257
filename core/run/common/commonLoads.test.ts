import { expect, test } from 'vitest'
import { areaSi, quantity } from '../../quantity/quantity'
import { openWorkingBook } from '../../working/working'
import { sprayedSite } from '../../../test/support/sprayedSite'
import { figure, readTable } from '../../../test/support/readTable'
import { NO_PROGRESS, type RunProgress } from '../progress'
import type { FrozenPlan } from '../runEvent'
import { restAdvice } from '../corrections/restAdvice'
import { putIn } from '../steps/putIn'
import { runSteps } from '../steps/runSteps'
import { commonLoads } from './commonLoads'
import { commonStop } from './commonStop'

/** The frozen plans of sites of one mix. */
function sites(sizes: readonly number[], tank: number, dead: number): readonly FrozenPlan[] {
  const measureStep = quantity(0.5, 'fl oz')
  const day = sizes.map((size, i) => sprayedSite(i + 1, size, { tank, dead, measureStep }))
  return day.map(({ applicationId, site, request, plan }) => ({
    coreVersion: '',
    site,
    equipment: '',
    calibration: '',
    labels: [{ productId: request.products[0]!.id, name: 'Iron', registration: '' }],
    request,
    plan,
    common: commonStop(day, applicationId),
  }))
}

test.each(readTable('commonLoads.csv', import.meta.url))('$name: $words', (row) => {
  const all = sites((row.sizes ?? '').split(';').map(Number), figure(row, 'tank'), figure(row, 'dead'))
  const found = row.found ? quantity(figure(row, 'found'), 'gal') : undefined
  const { carried, mixed, leaves, answer } = commonLoads(all[figure(row, 'at') - 1]!, found)!
  const list = (text = '') =>
    text === '-' ? [] : text.split('+').map((each) => expect.closeTo(Number(each), 3))
  expect(carried ? [carried.load.carrier.value] : []).toEqual(list(row.carried))
  expect(mixed.map(({ load }) => load.carrier.value)).toEqual(list(row.mixed))
  expect(mixed.map(({ here }) => areaSi(here) / 0.09290304)).toEqual(list(row.here))
  expect(leaves.value).toBeCloseTo(figure(row, 'leaves'), 6)
  expect(answer).toBe(row.answer)
})

const second = sites([15_000, 10_000], 26, 0)[1]!
const withTank = (gallons: number): RunProgress => ({
  ...NO_PROGRESS,
  tank: { found: quantity(gallons, 'gal') },
})

test('the tank is asked first; what came along goes out before anything is mixed', () => {
  const ids = (frozen: FrozenPlan, progress = NO_PROGRESS) => runSteps(frozen, progress).map(({ id }) => id)
  expect(ids(second).slice(0, 7)).toEqual(['gate', 'tank', 'spray-0', 'cover-0', 'mix-2', 'spray-2', 'rest'])
  expect(ids(second, withTank(0)).slice(0, 5)).toEqual(['gate', 'tank', 'mix-2', 'spray-2', 'rest'])
  // The tank is rinsed at the last site, and nobody asks the first for what came along.
  const [first] = sites([15_000, 10_000], 26, 0)
  expect(ids(first!)).not.toContain('rinse')
  expect(ids(first!)).not.toContain('tank')
  expect(ids(second)).toContain('rinse')
  const sprayed = runSteps(second, NO_PROGRESS).find(({ id }) => id === 'spray-2')
  expect(sprayed).toMatchObject({ behind: expect.closeTo(5000 * 0.09290304, 6) as number, then: 'rest' })
})

test('each site is booked what came along and what was mixed, at one strength', () => {
  const put = (frozen: FrozenPlan, progress = NO_PROGRESS) => {
    const { made, products } = putIn(frozen, progress)
    return [made?.value, [...products.values()][0]?.value]
  }
  const [first] = sites([15_000, 10_000], 26, 0)
  // 26 gal hold 26 / 1.3 x 3.4 = 68 fl oz; 6.5 carried and 6.5 made hold 34.
  expect(put(first!)).toEqual([expect.closeTo(26, 6), expect.closeTo(68, 6)])
  expect(put(second)).toEqual([expect.closeTo(13, 6), expect.closeTo(34, 6)])
  // 5.5 came with 14.385; 7.5 are mixed: 19.615 fl oz, in half ounces 19.5.
  expect(put(second, withTank(5.5))).toEqual([expect.closeTo(13, 6), expect.closeTo(14.3846 + 19.5, 3)])
})

test('what is left drives on: only what is beyond that is told, and as driving on', () => {
  const [first] = sites([15_000, 10_000], 26, 0)
  const used = (left: number) => ({
    treated: quantity(15_000, 'ft2'),
    made: quantity(26, 'gal'),
    putIn: [{ productId: 'p0', amount: quantity(68, 'fl oz') }],
    left: quantity(left, 'gal'),
  })
  expect(restAdvice(first!, used(6.5))).toMatchObject({
    over: expect.closeTo(0, 9) as number,
    onward: undefined,
  })
  // A gallon more: 3.785 L. It drives on, and is not to be spread here.
  expect(restAdvice(first!, used(7.5))).toMatchObject({
    over: expect.closeTo(0.003785411784, 9) as number,
    onward: 'Site 2',
    leftover: { answer: 'none' },
  })
  expect(restAdvice(second, used(7.5))?.onward).toBeUndefined()
})

test('working tells what was found, what is mixed and what leaves', () => {
  const book = openWorkingBook()
  commonLoads(second, quantity(5.5, 'gal'), book)
  expect(book.pages()[0]?.lines).toEqual([
    'in the tank on arrival 5.5 gal, planned 6.5',
    'its lawns take 13 gal',
    'load 2 is mixed here: 7.5 gal',
    'Iron: 85 fl oz in 32.5 gal of the day, here 19.5 fl oz',
    'stays = 5.5 + 7.5 - 13 = 0 gal',
  ])
})
