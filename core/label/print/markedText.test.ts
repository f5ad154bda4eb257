import { expect, test } from 'vitest'
import { markedText } from './markedText'
import { readLabel } from './readLabel'

test('the pieces together are the text, each with what was made of it', () => {
  const text = 'Keep dry. Apply 2 oz per 1,000 sq ft, or 3 fl oz per acre in spring.'
  const pieces = markedText(text, readLabel(text, 'liquid'))
  expect(pieces.map(({ words }) => words).join('')).toBe(text)
  expect(pieces.filter(({ is }) => is === 'left').map(({ words }) => words)).toEqual([
    'Keep dry',
    'in spring',
  ])
  expect(pieces.filter(({ is }) => is === 'asked').map(({ words }) => words)).toEqual([
    '2 oz per 1,000 sq ft',
  ])
})
