import { expect, test } from 'vitest'
import { readTable } from '../../test/support/readTable'
import { readPrintedRate } from './printedRate'

test.each(readTable('printedRate.csv', import.meta.url))('$text', ({ text = '', found = '', left = '' }) => {
  const read = readPrintedRate(text)
  const words = Object.entries(read.found).map(
    ([name, value]) => `${name} ${typeof value === 'string' ? value : `${value?.text} ${value?.unit}`}`,
  )
  expect(words.join('; ')).toBe(found)
  expect(read.left.join('; ')).toBe(left)
})
