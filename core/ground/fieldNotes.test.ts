import { expect, test } from 'vitest'
import { figure, readTable } from '../../test/support/readTable'
import { part } from '../../test/support/documents'
import { typed } from '../../demo/typed'
import { fieldReader } from '../quantity/fieldReader'
import { closedWorkingBook, openWorkingBook } from '../working/working'
import { readArea } from './areaDocument'
import { blankArea } from './blankArea'
import { NUTRIENT_UNIT } from '../quantity/nutrientText'
import { nitrogenWanted } from './grasses'
import { readFieldNotes } from './readFieldNotes'

const patch = { ...part('subtract', 'rectangle', { length: '10', width: '12' }), until: '2026-05-20' }
const notes = (slope: string) => ({
  instrument: 'tape' as const,
  parts: [part('add', 'rectangle', { length: '100', width: '50' }), patch],
  slope: typed(slope, '%' as const),
})

test.each(readTable('fieldNotes.csv', import.meta.url))('$name: $words', (row) => {
  const measured = readFieldNotes(
    notes(row.slope ?? ''),
    { path: 'p', name: 'Front', figure: 'lawns.a.size', day: row.day ?? '' },
    fieldReader(),
    closedWorkingBook,
  )
  expect(measured.size).toBeCloseTo(figure(row, 'net'), 9)
})

test('whether a diagonal lies inside is asked of new notes; notes from before the question stand', () => {
  const place = { path: 'p', name: 'Front', figure: 'lawns.a.size', day: '2026-05-06' } as const
  const sides = { first: '30', second: '40', third: '36', fourth: '34', diagonal: '50' }
  const read = (rule: { readonly rule?: '' | 'inside' | 'outside' }) => {
    const fields = fieldReader()
    const { rule: _blank, ...four } = part('add', 'four sides and diagonal', sides)
    const measured = readFieldNotes(
      { instrument: 'tape', parts: [{ ...four, ...rule }] },
      place,
      fields,
      closedWorkingBook,
    )
    return { size: measured.size, missing: fields.problems.map(({ kind, path }) => `${kind} ${path}`) }
  }
  expect(read({ rule: '' })).toMatchObject({ size: undefined, missing: ['missing p.parts.0.rule'] })
  expect(read({}).size).toBeCloseTo(read({ rule: 'inside' }).size ?? 0, 9)
  expect(read({ rule: 'outside' }).size).toBeLessThan(read({ rule: 'inside' }).size ?? 0)
})

test('a known size is as sure as whoever gave it says, else give or take 5 %', () => {
  const place = { path: 'p', name: 'Front', figure: 'lawns.a.size', day: '2026-05-06' } as const
  const measured = (give: string) =>
    readFieldNotes(
      {
        instrument: 'tape',
        parts: [
          {
            ...part('add', 'rectangle', {}),
            shape: 'known',
            size: typed('5000', 'ft2'),
            give: typed(give, '%' as const),
          },
        ],
      },
      place,
      fieldReader(),
      closedWorkingBook,
    )
  const share = (give: string) => (2 * (measured(give).sd ?? 0)) / (measured(give).size ?? 1)
  expect([share(''), share('2'), share('12')].map((one) => one.toFixed(4))).toEqual([
    '0.0500',
    '0.0200',
    '0.1200',
  ])
})

test('a slope steepens the uncertainty as it does the area, and its working says so', () => {
  const place = { path: 'p', name: 'Front', figure: 'lawns.a.size', day: '2026-05-06' } as const
  const flat = readFieldNotes(notes(''), place, fieldReader(), closedWorkingBook)
  const book = openWorkingBook()
  const steep = readFieldNotes(notes('100'), place, fieldReader(), book)
  expect((steep.sd ?? 0) / (steep.size ?? 1)).toBeCloseTo((flat.sd ?? 0) / (flat.size ?? 1), 12)
  expect(book.pages()[0]?.lines.join('\n')).toContain('on a slope of 100 %')
})

test('problems stand at their own fields', () => {
  const document = {
    ...blankArea('p1', 'us-1000'),
    slope: typed('-3', '%' as const),
    grass: [
      { id: 'a', species: 'tall fescue', share: typed('70', '%'), cultivar: '' },
      { id: 'b', species: 'zoysia', share: typed('40', '%'), cultivar: '' },
    ],
  } as const
  const fields = fieldReader()
  readArea(document, 'Front', '2026-05-06', fields, closedWorkingBook)
  const paths = fields.problems.map(({ path, kind }) => `${kind} ${path}`)
  expect(paths).toContain('missing document.parts.0.lengths.length')
  expect(paths).toContain('wrong document.slope')
  expect(paths).toContain('wrong document.grass.1.share')
})

test('in a mixed stand the most limiting grass rules', () => {
  expect(nitrogenWanted([])).toBeUndefined()
  expect(nitrogenWanted(['tall fescue'])).toEqual([2 * NUTRIENT_UNIT, 4 * NUTRIENT_UNIT])
  expect(nitrogenWanted(['tall fescue', 'centipede'])).toEqual([0.5 * NUTRIENT_UNIT, NUTRIENT_UNIT])
})
