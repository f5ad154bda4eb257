import { expect, test } from 'vitest'
import { figure, readTable } from '../../../test/support/readTable'
import { openWorkingBook } from '../../working/working'
import { stripeCause } from './stripeCause'

test.each(readTable('stripes.csv', import.meta.url))('$name: $words', (row) => {
  const book = openWorkingBook()
  const { cause } = stripeCause(
    { spacing: figure(row, 'spacing'), direction: row.direction ? figure(row, 'direction') : undefined },
    {
      method: row.method as 'spread' | 'spray',
      width: figure(row, 'width'),
      directions: row.directions!.split(' ').map(Number),
      nozzleSpacing: row.nozzles ? figure(row, 'nozzles') : undefined,
      skewed: false,
    },
    book,
  )
  expect(cause).toBe(row.cause)
  expect(book.pages()[0]?.figure).toBe('stripes')
})
