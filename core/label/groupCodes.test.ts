import { expect, test } from 'vitest'
import { readTable } from '../../test/support/readTable'
import { groupCodes, type GroupFamily } from './groupCodes'

test.each(readTable('groupCodes.csv', import.meta.url))(
  '“$text” of a $family: $words',
  ({ text = '', family, codes = '' }) => {
    const expected = codes === 'NOT STATED' ? [codes] : codes.split(' ').filter(Boolean)
    expect(groupCodes(text, family as GroupFamily)).toEqual(expected)
  },
)
