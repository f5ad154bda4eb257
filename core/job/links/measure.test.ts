import { expect, test } from 'vitest'
import { lawn, part, spreading } from '../../../test/support/documents'
import { fieldReader } from '../../quantity/fieldReader'
import { closedWorkingBook, openWorkingBook } from '../../working/working'
import type { AreaDraft } from '../../draft/applicationShape'
import { lawnFromArea } from '../../draft/fromLibrary'
import { measureLink } from './measure'
import { EMPTY_LIBRARY, familyChecks, workedWith } from '../../../test/support/worked'
import { blankArea } from '../../ground/blankArea'

const green = (name: string, rest: Partial<AreaDraft> = {}) =>
  lawn(name, [part('add', 'rectangle', { length: '40', width: '25' }, 'm')], rest)
const together = (lawns: readonly AreaDraft[], book = closedWorkingBook) =>
  measureLink({ lawns }, '2026-05-06', fieldReader(), book)
/** Readings 2 cm on 40 and 25 m: sqrt((25 x 0.02)² + (40 x 0.02)²). */
const READINGS = Math.hypot(0.5, 0.8)

test('one tape is wrong the same way on every lawn, two instruments are not', () => {
  // 1 % of 1,000 m2 each by tape, 2 % by wheel.
  expect(together([green('A'), green('B')]).sd).toBeCloseTo(Math.hypot(10 + 10, READINGS, READINGS), 9)
  expect(together([green('A'), green('B', { instrument: 'wheel' })]).sd).toBeCloseTo(
    Math.hypot(10, 20, READINGS, READINGS),
    9,
  )
  expect(together([green('A'), green('B', { treated: 'no' })]).sd).toBeCloseTo(Math.hypot(10, READINGS), 9)
})

test('the working of the ground says which errors add and what they do to amounts', () => {
  const book = openWorkingBook()
  together([green('A'), green('B', { instrument: 'wheel' })], book)
  const lines = book
    .pages()
    .find(({ figure }) => figure === 'ground.size')
    ?.lines.join('\n')
  expect(lines).toMatch(
    /scale of the tape, 0\.5 %[\s\S]*scale of the wheel, 1 %[\s\S]*carried to every amount/,
  )
})

test('a piece moved on the plan is no new size; a piece measured anew is', () => {
  const piece = part('add', 'rectangle', { length: '40', width: '25' }, 'm')
  const area = {
    id: '019df000-0000-7000-8000-000000000009',
    version: 1,
    name: 'Green',
    document: { ...blankArea('x', 'us-1000'), parts: [piece] },
  }
  const document = spreading([lawnFromArea(area)], [], {})
  const now = (parts: typeof area.document.parts) =>
    familyChecks(
      workedWith(document, '2026-05-06', {
        library: {
          ...EMPTY_LIBRARY,
          areas: [{ ...area, version: 2, document: { ...area.document, parts } }],
        },
      }),
      'What changed',
    )
  expect(now([{ ...piece, place: { x: 3, y: 4, turn: 90 } }])).toEqual([])
  expect(now([{ ...piece, lengths: { ...piece.lengths, width: { text: '26', unit: 'm' } } }])).toMatchObject([
    { code: 'size-changed' },
  ])
})

test(
  'a lawn read before answers as one read afresh: its problems at its place now, its working in any ' +
    'book, its exclusions on their day',
  () => {
    const bed = { ...part('subtract', 'circle', { diameter: '5' }, 'm'), until: '2026-06-01' }
    const [kept, wrong] = [
      green('A', { parts: [part('add', 'rectangle', { length: '40', width: '25' }, 'm'), bed] }),
      green('B', { parts: [part('add', 'rectangle', { length: '40', width: 'x' }, 'm')] }),
    ]
    const read = (lawns: readonly AreaDraft[], day: string) => {
      const [fields, book] = [fieldReader(), openWorkingBook()]
      const sizes = measureLink({ lawns }, day, fields, book).lawns.map(({ size }) => size)
      return { sizes, problems: fields.problems, pages: book.pages() }
    }
    measureLink({ lawns: [kept, wrong] }, '2026-05-06', fieldReader(), closedWorkingBook)
    for (const day of ['2026-05-06', '2026-07-01']) {
      for (const lawns of [
        [kept, wrong],
        [wrong, kept],
      ])
        expect(read(lawns, day)).toEqual(read(structuredClone(lawns), day))
    }
    expect(read([kept], '2026-07-01').sizes).toEqual([1000])
    expect(read([wrong, kept], '2026-05-06').problems).toMatchObject([
      { path: 'lawns.0.parts.0.lengths.width' },
    ])
  },
)
