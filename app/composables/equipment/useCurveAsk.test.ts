import { beforeEach, expect, test } from 'vitest'
import type { SpreaderDocument } from '#core/calibration/equipmentShape'
import { openWorkingBook } from '#core/working/working'
import type { Calibration } from '#shared/schemas/equipment'
import { spreaderCourse } from '../../../test/support/documents'
import { withVue } from '../../../test/support/vueGlobals'
import { curveErrorWords, useCurveAsk } from './useCurveAsk'

beforeEach(() =>
  withVue({
    useCrewStore: () => ({ units: 'us-1000', today: () => '2026-05-06' }),
    useLibraryStore: () => ({ products: [], load: async () => undefined }),
    useShown: () => ({
      rate: (rate: number) => ({ figure: rate.toFixed(6), unit: 'kg/m2' }),
      speed: (speed: number) => ({ figure: speed.toFixed(2), unit: 'm/s' }),
    }),
  }),
)

const spreader = () => ({ swath: { text: '11', unit: 'ft' } }) as unknown as SpreaderDocument
/** A course of 48 ft by 11 ft at 3.1 mph: 528 ft2, so much weighed in and back at a dial. */
const calibration = (product: string, setting: string, start: string, left: string): Calibration =>
  ({
    id: `${product} ${setting}`,
    equipmentId: 'spreader',
    version: 1,
    document: {
      kind: 'spread',
      on: '2026-04-26',
      notes: '',
      course: spreaderCourse('2026-04-26', setting, product, [[start, left]]),
    },
  }) as unknown as Calibration
// 0.9 lb on 528 ft2 are 1.7045 lb/1,000 ft2 at 12; 1.3 lb are 2.4621 at 14. In two passes twice of each lies.
const tested = [calibration('Feed', '12', '10', '9.1'), calibration('Feed', '14', '10', '8.7')]
const curveOf = (calibrations: readonly Calibration[] = tested) => useCurveAsk(() => calibrations, spreader)
const rate = (text: string) => ({ text, unit: 'lb/1000 ft2' as const })

test('the product with most tested settings is asked for first', () => {
  const asked = curveOf([calibration('Iron', '8', '5', '4'), ...tested])
  expect(asked.products.value).toEqual(['Feed', 'Iron'])
  expect(asked.ask.product).toBe('Feed')
})

test('a dial for a rate, a rate for a dial, a pace for both, at the pace it was tested at', () => {
  const { ask, answer, question } = curveOf()
  expect(answer(openWorkingBook())).toBeUndefined()
  // Half of it a pass: 1.7045 is what 12 gives.
  ask.rate = rate('3.4090909')
  const dial = answer(openWorkingBook())
  expect(dial?.ok && dial.value.setting).toBeCloseTo(12, 3)
  ask.find = 'rate'
  ask.setting = '14'
  const given = answer(openWorkingBook())
  // 1.3 lb on 528 ft2, twice: 0.589670 kg on 49.0528 m2 x 2.
  expect(given?.ok && given.value.rate).toBeCloseTo((2 * 0.58967) / 49.0528, 5)
  ask.find = 'speed'
  const pace = answer(openWorkingBook())
  // Slower takes more: 2.4621 where 1.7045 are wanted is 1.4444 times the pace of 3.1 mph.
  expect(pace?.ok && pace.value.speed).toBeCloseTo(1.38582 * 1.44444, 2)
  expect(question.value.problem).toBeUndefined()
})

test('what is typed wrong is told; what is not whole asks nothing', () => {
  const { ask, question } = curveOf()
  ask.rate = rate('much')
  expect(question.value.problem).toMatch(/number/i)
  ask.rate = rate('')
  expect(question.value).toEqual({})
  ask.find = 'rate'
  ask.setting = 'twelve'
  expect(question.value.problem).toBe('A setting is a number on the dial: 12 or 12.5.')
})

test('the answer says how far it reaches and when it was tested', () => {
  const { ask, answer, replyWords } = curveOf()
  ask.rate = rate('3.4090909')
  const reply = answer(openWorkingBook())
  if (!reply?.ok) throw new Error('no answer')
  const { head, tail } = replyWords('setting', reply.value)
  expect(head.figure).toBe('Setting 12')
  expect(tail).toMatch(/last tested 26 April 2026, 10 days ago/)
  expect(replyWords('rate', { ...reply.value, reach: 'guess' }).tail).toMatch(
    /^ in 2 passes.*this is a guess/,
  )
  expect(replyWords('speed', { ...reply.value, pace: 'questioned' }).tail).toMatch(/far from the pace/)
})

test('why a curve does not answer is told with the way out', () => {
  expect(curveErrorWords({ kind: 'noPoints' })).toMatch(/^Nothing with this product is calibrated/)
  expect(curveErrorWords({ kind: 'impossible', between: [12, 14] })).toMatch(/12 and 14 .*Repeat them/)
  const { ask, answer } = curveOf()
  ask.rate = rate('9')
  const reply = answer(openWorkingBook())
  if (reply?.ok !== false) throw new Error('an answer where none can be')
  expect(curveErrorWords(reply.error)).toMatch(/beyond what was tested \(settings 12\.00 to 14\.00/)
})
