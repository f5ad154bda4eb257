import { expect, test } from 'vitest'
import { mergeChanges } from './mergeChanges'

const base = {
  name: 'Front',
  rate: { text: '2', unit: 'lb' },
  rows: [
    { id: 'a', words: 'one' },
    { id: 'b', words: 'two' },
  ],
  runs: ['1', '2'],
}

test.each([
  [
    'different fields',
    { name: 'Back' },
    { runs: ['1', '3'] },
    { name: 'Back', runs: ['1', '3'] },
    ['runs.1'],
  ],
  ['the same change on both sides', { name: 'Back' }, { name: 'Back' }, { name: 'Back' }, []],
  [
    'a new row here, a changed one there',
    { rows: [...base.rows, { id: 'c', words: 'new' }] },
    { rows: [{ id: 'a', words: 'uno' }, base.rows[1]!] },
    {
      rows: [
        { id: 'a', words: 'uno' },
        { id: 'b', words: 'two' },
        { id: 'c', words: 'new' },
      ],
    },
    ['rows.0.words'],
  ],
  [
    'a row removed there, another changed here',
    { rows: [base.rows[0]!, { id: 'b', words: 'deux' }] },
    { rows: [base.rows[1]!] },
    { rows: [{ id: 'b', words: 'deux' }] },
    ['rows.0'],
  ],
])('merged: %s', (_, mine, theirs, merged, from) => {
  const answer = mergeChanges(base, { ...base, ...mine }, { ...base, ...theirs })
  expect(answer).toEqual({ ok: true, value: { ...base, ...merged }, theirs: from })
})

test.each([
  ['the same field', { name: 'Back' }, { name: 'Side' }, 'name'],
  [
    'a figure here, its unit there',
    { rate: { text: '3', unit: 'lb' } },
    { rate: { text: '2', unit: 'kg' } },
    'rate',
  ],
  [
    'a row removed here, changed there',
    { rows: [base.rows[1]!] },
    { rows: [{ id: 'a', words: 'uno' }, base.rows[1]!] },
    'rows.1',
  ],
  ['lists of different lengths', { runs: ['1'] }, { runs: ['4', '2'] }, 'runs'],
])('asked: %s', (_, mine, theirs, at) => {
  expect(mergeChanges(base, { ...base, ...mine }, { ...base, ...theirs })).toEqual({ ok: false, at })
})
