import { expect, test } from 'vitest'
import type { WeighingResult } from '#core/run/corrections/weighing'
import { overshootWords } from './overshootWords'

const shown = {
  amount: ({ value, unit }: { value: number; unit: string }) => ({ figure: value.toFixed(1), unit }),
  size: (size: number) => ({ figure: String(Math.round(size)), unit: 'm²' }),
} as unknown as Parameters<typeof overshootWords>[2]
const words = (answer: WeighingResult['answer'], more: Partial<WeighingResult> = {}) =>
  overshootWords(
    { answer, over: 0.5, deviation: 0.0418, takeOut: 0.2, moreLawn: 24.6, ...more } as WeighingResult,
    'lb',
    shown,
  )

test('each answer says what to do, with its figures', () => {
  expect(words('right')).toEqual({ level: 'good', text: 'That is it.' })
  expect(words('short', { over: -0.3 })).toEqual({ level: 'note', text: '0.3 lb more.' })
  expect(words('inside')).toEqual({
    level: 'warn',
    text: '0.5 lb over: 4.2 %, still inside the label. Take it out, or do 25 m² more.',
  })
  expect(words('unlimited').text).toBe('0.5 lb over: 4.2 %. Take it out, or do 25 m² more.')
  expect(words('over label')).toEqual({
    level: 'stop',
    text: '0.5 lb over. Take at least 0.2 lb out for the label’s most, or do 25 m² more.',
  })
})
