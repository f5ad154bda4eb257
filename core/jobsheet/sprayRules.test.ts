import { expect, test } from 'vitest'
import { typed } from '../../demo/typed'
import { part, spraying, spreaderCourse, spreading, sprayerCourse } from '../../test/support/documents'
import { readTable } from '../../test/support/readTable'
import { blankArea } from '../ground/blankArea'
import { DEFAULT_HOUSE } from '../house'
import { blankProductDocument, blankRateLine } from '../label/blankProduct'
import { composeSheet } from './applicationSheet'
import { dialChecks } from './dialChecks'
import { lawnFromArea, noteFromLabel, type KeptProduct } from './fromRooms'
import { roomChecks } from './roomChecks'

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
    const product: KeptProduct = {
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
    const sheet = composeSheet(document, DAY)
    expect(sheet.plan).toBeDefined()
    const checks = [
      ...sheet.checks,
      ...roomChecks(
        document,
        sheet,
        { areas: [area], products: [product], history: [], local: [], mixes: [] },
        DAY,
        DEFAULT_HOUSE,
      ),
    ]
    expect(
      checks
        .filter(({ code }) => code !== 'calibration-single-run' && code !== 'part-load-small')
        .map(({ level, code }) => `${level} ${code}`)
        .join(', '),
    ).toBe(expected)
  },
)

test(
  'an untried spreader is offered the dial number printed for it, not one for another, and not the one ' +
    'that stands there',
  () => {
    const blank = blankProductDocument('line', 'us-1000')
    const told = (spreader: string, setting: string) => {
      const line = {
        ...blankRateLine('line', 'granule', 'us-1000'),
        rate: typed('3.4', 'lb/1000 ft2' as const),
      }
      const product: KeptProduct = {
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
          passes: 2,
          calibration: spreaderCourse('2026-05-01', setting, 'Granule', []),
        },
      )
      return dialChecks(document, composeSheet(document, DAY), [], [product], DAY).map(
        ({ code, remedies }) => `${code} ${remedies[0]?.label}`,
      )
    }
    expect([told('push spreader ', '12'), told('Drop spreader', '12'), told('Push spreader', '9')]).toEqual([
      ['dial-printed Begin at 9'],
      [],
      [],
    ])
  },
)
