import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { readNotNegative, readPositive } from './entered'
import { metres, metresPerSecond, quantity, squareMetres } from './quantity'
import {
  flowUnit,
  prettyUnits,
  rateInSystem,
  showCarrier,
  showDistance,
  showMeasured,
  showRate,
  showSize,
  showSpeed,
  SYSTEM_UNITS,
  UNIT_SYSTEMS,
  unitText,
} from './systems'
import { rateUnitParts } from './rateUnit'

const FEED = 3.4 * rateUnitParts('lb/1000 ft2').factor

describe('one figure in four systems', () => {
  test.each([
    ['us-1000', '3.40', 'lb / 1,000 ft²'],
    ['us-acre', '148.1', 'lb / ac'],
    ['metric-100', '1.660', 'kg / 100 m²'],
    ['metric-ha', '166.0', 'kg / ha'],
  ] as const)('3.4 lb on 1,000 ft2 in %s is %s %s', (system, figure, unit) => {
    expect(showRate(FEED, 'mass', system)).toEqual({ figure, unit })
  })

  test('the carrier: 1.3 gal on 1,000 ft2', () => {
    const carrier = (1.3 * 0.003785411784) / 92.90304
    expect(UNIT_SYSTEMS.map((system) => showCarrier(carrier, system).figure)).toEqual([
      '1.300',
      '56.6',
      '5.30',
      '530',
    ])
  })

  test('paces and distances climb to the next unit', () => {
    expect(showSpeed(metresPerSecond(1.385824), 'us-1000')).toEqual({ figure: '3.10', unit: 'mph' })
    expect(showSpeed(metresPerSecond(1.385824), 'metric-ha')).toEqual({ figure: '4.99', unit: 'km / h' })
    expect(showDistance(metres(325.3), 'us-1000')).toEqual({ figure: '1,067', unit: 'ft' })
    expect(showDistance(metres(1609.344), 'us-acre')).toEqual({ figure: '1.000', unit: 'mi' })
    expect(showDistance(metres(325.3), 'metric-100')).toEqual({ figure: '325', unit: 'm' })
    expect(showDistance(metres(2500), 'metric-ha')).toEqual({ figure: '2.50', unit: 'km' })
  })

  test('changing the system never changes the ground beneath', () => {
    fc.assert(
      fc.property(
        fc.double({ min: 1e-5, max: 10, noNaN: true }),
        fc.constantFrom(...UNIT_SYSTEMS),
        fc.constantFrom('mass' as const, 'volume' as const),
        (perArea, system, dimension) => {
          const shown = rateInSystem(perArea, dimension, system)
          expect((shown.value * rateUnitParts(shown.unit).factor) / perArea).toBeCloseTo(1, 12)
        },
      ),
    )
  })

  test('every system asks for ground in its own unit', () => {
    expect(UNIT_SYSTEMS.map((system) => showSize(squareMetres(4046.8564224), system).unit)).toEqual([
      'ft²',
      'ac',
      'm²',
      'ha',
    ])
    expect(UNIT_SYSTEMS.map((system) => SYSTEM_UNITS[system].length)).toEqual(['ft', 'ft', 'm', 'm'])
  })
})

test('units are set as people read them, alone and in a sentence', () => {
  expect(unitText('lb/1000 ft2')).toBe('lb / 1,000 ft²')
  expect(prettyUnits('5.8 fl oz/1000 ft2 is over 5 mL/100 m2')).toBe(
    '5.8 fl oz/1,000 ft² is over 5 mL/100 m²',
  )
})

test('whole steps are shown to the step and no further', () => {
  expect(showMeasured(quantity(15, 'mL'), quantity(5, 'mL')).figure).toBe('15')
  expect(showMeasured(quantity(13.400000000000002, 'lb'), quantity(0.2, 'lb')).figure).toBe('13.4')
  expect(showMeasured(quantity(2280, 'mL'), quantity(5, 'mL')).figure).toBe('2,280')
  expect(showMeasured(quantity(15.123, 'mL'), undefined).figure).toBe('15.12')
})

describe('fields', () => {
  const length = (text: string) => readPositive({ text, unit: 'ft' }, 'length', 'Length')
  test.each([
    ['', 'missing'],
    ['  ', 'missing'],
    ['0', 'notPositive'],
    ['-3', 'notPositive'],
    ['2,5', 'ambiguousComma'],
    ['2000000000', 'tooLarge'],
    ['x', 'notANumber'],
  ])('“%s” is %s', (text, kind) => {
    expect(length(text)).toMatchObject({ ok: false, error: { kind } })
  })

  test('nought may stand where it means something, a negative never', () => {
    const left = (text: string) => readNotNegative({ text, unit: 'lb' }, 'mass', 'What was left')
    expect(left('0')).toEqual({ ok: true, value: quantity(0, 'lb') })
    expect(left('-0.1')).toMatchObject({ ok: false, error: { kind: 'negative' } })
  })

  test('per cents stop at a hundred', () => {
    const share = (text: string) => readPositive({ text, unit: '%' }, 'percent', 'N')
    expect(share('100').ok).toBe(true)
    expect(share('100.1')).toMatchObject({ ok: false, error: { kind: 'tooMuchPercent' } })
  })

  test('the message names the field', () => {
    const read = length('')
    expect(read.ok ? '' : read.error.message).toBe('Length is still missing.')
  })
})

test('what runs through a gate is counted as the crew counts it', () => {
  // 0.01 kg/s: 0.6 kg a minute is 1.3228 lb; 10 g a second.
  expect(0.01 * flowUnit('us-1000').per).toBeCloseTo(1.32277, 4)
  expect(0.01 * flowUnit('metric-ha').per).toBeCloseTo(10, 9)
})
