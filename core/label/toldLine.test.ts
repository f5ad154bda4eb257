import { describe, expect, test } from 'vitest'
import { typed } from '../../demo/typed'
import { blankProductDocument, blankRateLine } from './blankProduct'
import { inLineUnit, withUsualRate } from './lineUnit'
import { LINE_FIGURE_NAMES } from './productFields'
import type { RateLine } from './productShape'
import { SECTION_FIGURES, toldLine } from './toldLine'
import { printsNutrients, toldProduct } from './toldProduct'

const line = (fields: Partial<RateLine>): RateLine => ({
  ...blankRateLine('l', 'solution', 'us-1000'),
  ...fields,
})
const rate = (text: string) => typed(text, 'fl oz/1000 ft2')

describe('a line of a label told back', () => {
  test('nothing typed says nothing', () => {
    expect(Object.values(toldLine(line({}))).join('')).toBe('')
  })

  test('a range with its most', () => {
    const fields = { rate: rate('3'), low: rate('2'), high: rate('4'), most: rate('4'), year: rate('20') }
    expect(toldLine(line(fields)).rate).toBe(
      '3 fl oz / 1,000 ft², label 2 to 4, at most 4 in one go, at most 20 a year.',
    )
  })

  test.each<[keyof ReturnType<typeof toldLine>, Partial<RateLine>, string]>([
    ['rate', { rate: rate('3'), high: rate('4') }, '3 fl oz / 1,000 ft², label up to 4.'],
    [
      'rate',
      { rate: rate('3'), year: typed('88', 'fl oz/ac') },
      '3 fl oz / 1,000 ft², at most 88 fl oz / ac a year.',
    ],
    [
      'rate',
      { yearActive: typed('1.5', 'lb/ac'), period: 'calendar year', method: 'tank' },
      'At most 1.5 lb / ac of the active, a calendar year, from a tank and boom.',
    ],
    ['timing', { repeatFrom: typed('14', 'd'), repeatTo: typed('28', 'd') }, 'Again after 14 to 28 d.'],
    ['timing', { repeatFrom: typed('2', 'wk'), repeatTo: typed('28', 'd') }, 'Again after 2 wk to 28 d.'],
    ['timing', { perYear: '4', inRow: '2' }, 'At most 4 times a year, at most 2 times in a row.'],
    [
      'water',
      { figures: { waterDepth: typed('0.25', 'in'), waterWithin: typed('24', 'h') } },
      'Water in by 0.25 in within 24 h.',
    ],
    ['water', { drops: 'coarse' }, 'Coarse drops or coarser.'],
    ['water', { figures: { waterWithin: typed('24', 'h') } }, 'Water in within 24 h.'],
    ['weather', { figures: { soilFrom: typed('50', '°F') }, growth: 'dormant' }, 'Soil 50 °F, turf dormant.'],
    [
      'grasses',
      { grasses: ['bermuda', 'zoysia'], figures: { seedBefore: typed('60', 'd') } },
      'For bermuda, zoysia, no seeding for 60 d.',
    ],
  ])('%s: %o', (section, fields, sentence) => {
    expect(toldLine(line(fields))[section]).toBe(sentence)
  })

  test('every figure of a line stands in one part, and is told there', () => {
    expect(Object.values(SECTION_FIGURES).flat().toSorted()).toEqual([...LINE_FIGURE_NAMES].toSorted())
    for (const [section, names] of Object.entries(SECTION_FIGURES))
      for (const name of names)
        expect(
          toldLine(line({ figures: { [name]: { text: '77', unit: 'd' } } }))[
            section as keyof typeof SECTION_FIGURES
          ],
          name,
        ).toContain('77')
  })
})

test('one unit for a line: what stands in it or is blank follows, what was typed with another stays', () => {
  const before = line({ rate: rate('3'), year: typed('88', 'fl oz/ac') })
  expect(inLineUnit(before, 'mL/100 m2')).toMatchObject({
    rate: { text: '3', unit: 'mL/100 m2' },
    low: { text: '', unit: 'mL/100 m2' },
    year: { text: '88', unit: 'fl oz/ac' },
  })
  expect(withUsualRate(line({ high: rate('5') }), typed('2', 'pt/ac'))).toMatchObject({
    rate: { text: '2', unit: 'pt/ac' },
    low: { text: '', unit: 'pt/ac' },
    high: { text: '5', unit: 'fl oz/1000 ft2' },
  })
})

test('a product told back; an adjuvant prints no nutrients, unless some were typed', () => {
  const blank = blankProductDocument('l', 'us-1000')
  const product = {
    ...blank,
    analysis: { ...blank.analysis, n: typed('21', '%'), k2o: typed('6', '%'), slowN: typed('60', '%') },
    actives: [{ id: 'a', name: 'azoxystrobin', content: typed('22.9', '%'), group: '11' }],
    reentry: typed('4', 'h'),
    signal: 'caution' as const,
  }
  expect(toldProduct(product)).toEqual({
    feeds: 'N 21 %, K2O 6 %, 60 % of the N slow.',
    actives: 'Azoxystrobin 22.9 % (group 11).',
    safety: 'Caution, nobody back for 4 h.',
    mixing: '',
    keeping: '',
  })
  expect(printsNutrients({ ...blank, kind: 'adjuvant' })).toBe(false)
  expect(printsNutrients({ ...product, kind: 'adjuvant' })).toBe(true)
})
