import { expect, test } from 'vitest'
import { typed } from '../../demo/typed'
import { part, spraying, spreaderCourse, spreading, sprayerCourse } from '../../test/support/documents'
import { readTable } from '../../test/support/readTable'
import { blankArea } from '../ground/blankArea'
import { blankProductDocument, blankRateLine } from '../label/blankProduct'
import { EMPTY_LIBRARY, workedWith } from '../../test/support/worked'
import { lawnFromArea, noteFromLabel, type LibraryProduct } from '../draft/fromLibrary'

const DAY = '2026-05-06'
const area = {
  id: 'area',
  version: 1,
  name: 'Front',
  document: {
    ...blankArea('part', 'us-1000'),
    parts: [part('add', 'rectangle', { length: '100', width: '50' })],
  },
}

// So many gallons over 100 by 10 ft are the gallons on 1,000 ft2.
test.each(readTable('sprayRules.csv', import.meta.url))(
  '$name: $words',
  ({ used = '', from = '', to = '', where = '', n = '', expect: expected }) => {
    const blank = blankProductDocument('line', 'us-1000')
    const line = {
      ...blankRateLine('line', 'solution', 'us-1000'),
      rate: typed('1', 'fl oz/1000 ft2' as const),
      figures: { carrierFrom: typed(from, 'gal/1000 ft2'), carrierTo: typed(to, 'gal/1000 ft2') },
    }
    const product: LibraryProduct = {
      id: 'p',
      version: 1,
      name: 'Liquid',
      document: {
        ...blank,
        form: 'solution',
        density: typed('10.3', 'lb/gal'),
        analysis: { ...blank.analysis, n: typed(n, '%') },
        lines: [line],
      },
    }
    const runs = used.split(';').map((gallons) => typed(gallons, 'gal' as const))
    const document = {
      ...spraying([lawnFromArea(area)], [noteFromLabel(product, line, 'note', typed('', 'mL'))], {
        tank: typed('26', 'gal'),
        calibration: sprayerCourse('2026-05-01', typed('100', 'ft'), typed('10', 'ft'), '3.1', runs),
      }),
      fate: { where: where as '' | 'soil' | 'leaf', wait: typed('', 'h' as const), water: '' },
    }
    const library = { ...EMPTY_LIBRARY, areas: [area], products: [product] }
    const { plan, checks } = workedWith(document, DAY, { library })
    expect(plan).toBeDefined()
    expect(
      checks
        .filter(({ code }) => code !== 'calibration-single-run' && code !== 'part-load-small')
        .map(({ level, code }) => `${level} ${code}`)
        .join(', '),
    ).toBe(expected)
  },
)

test(
  'an untried spreader begins at the number printed for it, at two thirds for two passes; not at ' +
    'another’s',
  () => {
    const blank = blankProductDocument('line', 'us-1000')
    const told = (spreader: string, passes: number, setting = '') => {
      const line = {
        ...blankRateLine('line', 'granule', 'us-1000'),
        rate: typed('3.4', 'lb/1000 ft2' as const),
      }
      const product: LibraryProduct = {
        id: 'p',
        version: 1,
        name: 'Granule',
        document: { ...blank, lines: [line], dials: [{ id: 'd', spreader, dial: '9' }] },
      }
      const document = spreading(
        [lawnFromArea(area)],
        [noteFromLabel(product, line, 'note', typed('', 'lb'))],
        {
          equipment: 'Push spreader',
          passes,
          calibration: spreaderCourse('2026-05-01', setting, 'Granule', []),
        },
      )
      return workedWith(document, DAY, { library: { ...EMPTY_LIBRARY, areas: [area], products: [product] } })
    }
    // Two thirds of 9 is 6: half the rate is not half the number.
    expect(told('push spreader ', 1).dial).toMatchObject({ setting: '9', from: 'printed' })
    expect(told('push spreader ', 2).dial).toMatchObject({ setting: '6', from: 'printed' })
    expect(told('Drop spreader', 2).dial).toBeUndefined()
    const waits = told('push spreader', 2)
    expect(waits.checks.find(({ code }) => code === 'dial-printed')?.remedies[0]?.label).toBe('Begin at 6')
    // What to weigh in needs no calibration; dial, way and time of the walk wait for one.
    expect(waits.plan?.totals.products[0]?.amount.value).toBeCloseTo(17, 6)
    expect([waits.walk, waits.calibration]).toEqual([undefined, undefined])
  },
)
