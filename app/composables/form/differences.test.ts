import { expect, test } from 'vitest'
import { differences, pathWords } from './differences'

test.each([
  [
    'a figure with its unit is one field',
    { rate: { text: '3', unit: 'lb' } },
    { rate: { text: '3', unit: 'kg' } },
    'rate',
    '3 lb',
    '3 kg',
  ],
  ['a blank is told as one', { name: '' }, { name: 'Back' }, 'name', 'blank', 'Back'],
  ['a whole part that is missing', { rows: [{ a: 1 }] }, { rows: [] }, 'rows.0', 'there', 'blank'],
])('%s', (_, mine, theirs, path, here, there) => {
  expect(differences(mine, theirs)).toEqual([{ path, mine: here, theirs: there }])
})

test('ids, versions and what the server adds are no differences', () => {
  expect(
    differences({ id: 'a', version: 1, sizeM2: 3, x: 1 }, { id: 'b', version: 2, sizeM2: 4, x: 1 }),
  ).toEqual([])
  expect(differences({ rate: { text: '', unit: 'lb' } }, { rate: { text: '', unit: 'kg' } })).toEqual([])
})

test('a path is told in words', () => {
  expect(pathWords('document.lines.0.repeatFrom')).toBe('lines 1, repeat from')
})
