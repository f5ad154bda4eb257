import { expect, test } from 'vitest'
import { typed } from '../../demo/typed'
import type { TimeUnit } from '../quantity/units'
import { longestReentry } from './reentry'

const wait = (text: string, unit: TimeUnit) => typed(text, unit)

test.each([
  ['a day is longer than 12 hours', [wait('12', 'h'), wait('1', 'd')], wait('1', 'd')],
  ['48 hours are longer than a day', [wait('1', 'd'), wait('48', 'h'), undefined], wait('48', 'h')],
  ['blank: the label only says once dry', [wait('', 'h'), undefined], undefined],
  ['what can’t be read is no wait', [wait('soon', 'h'), wait('4', 'h')], wait('4', 'h')],
])('%s', (_, waits, longest) => {
  expect(longestReentry(waits)).toEqual(longest)
})
