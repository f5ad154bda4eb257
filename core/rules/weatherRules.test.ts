import { expect, test } from 'vitest'
import { typed } from '../../demo/typed'
import { part, spreading } from '../../test/support/documents'
import { readTable } from '../../test/support/readTable'
import { EMPTY_LIBRARY, workedWith } from '../../test/support/worked'
import { blankArea } from '../ground/blankArea'
import { blankProductDocument } from '../label/blankProduct'
import { lawnFromArea, noteFromLabel } from '../draft/fromLibrary'

const DAY = '2026-05-06'
const area = {
  id: 'area',
  version: 1,
  name: 'Front',
  document: {
    ...blankArea('part', 'us-1000'),
    parts: [part('add', 'rectangle', { length: '40', width: '25' })],
  },
}

test.each(readTable('weatherRules.csv', import.meta.url))('the weather of the place: $case', (row) => {
  const degrees = (text = '') => typed(text, '°F' as const)
  const blank = blankProductDocument('line', 'us-1000')
  const [line] = blank.lines
  const product = {
    id: 'p',
    version: 1,
    name: 'Granule',
    document: {
      ...blank,
      lines: [
        {
          ...line!,
          rate: typed('3', 'lb/1000 ft2' as const),
          figures: {
            airMost: degrees(row.airMost),
            soilFrom: degrees(row.soilFrom),
            soilTo: degrees(row.soilTo),
            ...(row.windMost && { windMost: typed(row.windMost, 'mph' as const) }),
            ...(row.rainfast && { rainfast: typed(row.rainfast, 'h' as const) }),
          },
        },
      ],
    },
  }
  const note = noteFromLabel(product, product.document.lines[0]!, 'note', typed('1', 'oz'))
  const worked = workedWith(
    {
      ...spreading([lawnFromArea(area)], [note], {}),
      day: {
        turf: '',
        air: degrees(row.noted === 'air' ? '60' : ''),
        soil: degrees(row.noted === 'soil' ? '60' : ''),
      },
    },
    DAY,
    {
      library: { ...EMPTY_LIBRARY, areas: [area], products: [product] },
      weather: {
        on: DAY,
        station: 'Pier',
        forecast: true,
        least: 5,
        most: Number(row.most),
        rain: row.rain ? Number(row.rain) : undefined,
        winds: row.winds ? row.winds.split('|').map(Number) : [],
        soils: row.soil ? [{ areaId: 'area', soil: Number(row.soil), give: Number(row.give) }] : [],
      },
    },
  )
  const found = worked.checks.filter(({ code }) => /^(forecast|estimated)-/.test(code))
  expect(
    found.map(({ code, message }) => `${code}${message.includes('may be right') ? '?' : ''}`).join(' '),
  ).toBe(row.codes)
  expect(found.every(({ level }) => level === 'warn')).toBe(true)
})
