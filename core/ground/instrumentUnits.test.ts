import { expect, test } from 'vitest'
import { part } from '../../test/support/documents'
import type { FieldNotes } from './areaShape'
import { asInstrumentUnits, inInstrumentUnits, lengthsToAsk } from './instrumentUnits'

const notes = (instrument: FieldNotes['instrument'], length: string, width: string): FieldNotes => ({
  instrument,
  parts: [part('add', 'rectangle', { length, width })],
})
const lengths = ({ parts: [first] }: FieldNotes) =>
  Object.values(first?.lengths ?? {}).map((span) => `${span?.text} ${span?.unit}`.trim())

test('blank lengths are asked in the unit of the instrument, typed ones stay', () => {
  expect(lengths(inInstrumentUnits(notes('paced', '', ''), 'us-1000'))).toEqual(['paces', 'paces'])
  expect(lengths(inInstrumentUnits(notes('paced', '42', ''), 'us-1000'))).toEqual(['42 ft', 'paces'])
  const paces = inInstrumentUnits(notes('paced', '', ''), 'us-1000')
  expect(lengths(inInstrumentUnits({ ...paces, instrument: 'tape' }, 'metric-100'))).toEqual(['m', 'm'])
})

test('what was typed in a unit the instrument does not show is asked, and can be taken as it', () => {
  const typed = notes('paced', '42', '20')
  expect(lengthsToAsk(typed, 'us-1000')).toEqual({ count: 2, typed: 'ft', instead: 'paces' })
  expect(lengthsToAsk(notes('tape', '42', '20'), 'us-1000')).toBeUndefined()
  expect(lengthsToAsk(notes('paced', '', ''), 'us-1000')).toBeUndefined()
  const taken = asInstrumentUnits(typed, 'us-1000')
  expect(lengths(taken)).toEqual(['42 paces', '20 paces'])
  expect(lengthsToAsk(taken, 'us-1000')).toBeUndefined()
})

test('a part measured with something else goes by its own instrument', () => {
  const [first] = notes('tape', '42', '').parts
  const own = { instrument: 'tape' as const, parts: [{ ...first!, with: { instrument: 'paced' as const } }] }
  expect(lengthsToAsk(own, 'us-1000')).toMatchObject({ count: 1, instead: 'paces' })
  expect(lengths(inInstrumentUnits(own, 'us-1000'))).toEqual(['42 ft', 'paces'])
})
