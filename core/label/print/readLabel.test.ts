import { expect, test } from 'vitest'
import { readTable } from '../../../test/support/readTable'
import type { PrintedLine } from './labelLine'
import { readLabel } from './readLabel'
import type { PrintedForm } from './reading'

const quantity = ({ value, unit }: { readonly value: number; readonly unit: string }) =>
  `${Number(value.toPrecision(9))} ${unit}`
const limit = ({ rate, basis }: NonNullable<PrintedLine['mostPerYear']>, period = '') =>
  [
    quantity(rate),
    basis === 'product' ? '' : basis,
    period.replace('calendar year', 'calendar-year').replace('twelve months', '12-months'),
  ]
    .filter(Boolean)
    .join(' ')

/** A line as the table writes it. */
function lineText(line: PrintedLine): string {
  const { bagCovers: bag, carrierFrom: from, carrierTo: to, waterDepth: depth } = line
  return [
    line.rate && `rate ${quantity(line.rate)}`,
    line.low && `low ${quantity(line.low)}`,
    line.high && `high ${quantity(line.high)}`,
    line.basis !== 'product' && `basis ${line.basis}`,
    line.repeatFrom && `repeat ${line.repeatFrom}${line.repeatTo ? `-${line.repeatTo}` : ''}`,
    line.mostPerApplication && `most ${limit(line.mostPerApplication)}`,
    line.mostPerYear && `year ${limit(line.mostPerYear, line.period)}`,
    line.timesPerYear && `times ${line.timesPerYear}`,
    line.timesPerYear &&
      line.period &&
      limit({ rate: { value: 0, unit: '%' }, basis: 'product' }, line.period).slice(4),
    line.inARow && `row ${line.inARow}`,
    from && `carrier ${from.value}${to ? `-${to.value}` : ''} ${from.unit}`,
    line.reentry && `reentry ${line.reentry}`,
    line.rainfast && `rainfast ${line.rainfast}`,
    depth && `water ${depth.unit === 'cm' ? `${depth.value * 10} mm` : quantity(depth)}`,
    line.waterWithin && `within ${line.waterWithin}`,
    bag && `bag ${quantity(bag.amount)} on ${quantity(bag.area)}`,
    line.target && `for ${line.target}`,
    line.grasses && `on ${line.grasses.join(', ')}`,
  ]
    .filter(Boolean)
    .join('; ')
}

test.each(readTable('readLabel.csv', import.meta.url))(
  '$text ($form)',
  ({ text = '', form, expect: expected }) => {
    const { lines, asks, notUnderstood } = readLabel(text, form as PrintedForm)
    const parts = [
      ...lines.map(lineText),
      ...asks.map((ask) => `? ${ask.text}`),
      ...notUnderstood.map((rest) => `! ${rest.text}`),
    ]
    const written = (said: string) =>
      said
        .split(' | ')
        .flatMap((part) => part.split('; '))
        .toSorted()
    expect(written(parts.join(' | '))).toEqual(written(expected ?? ''))
  },
)

test.each(readTable('readLabel.csv', import.meta.url))(
  'nothing of “$text” is dropped',
  ({ text = '', form }) => {
    const { lines, asks, notUnderstood } = readLabel(text, form as PrintedForm)
    const seen = [...text].map(() => false)
    for (const { from } of [...lines, ...asks, ...notUnderstood])
      for (const [start, end] of from) seen.fill(true, start, end)
    expect([...text].filter((letter, i) => !seen[i] && /[\p{L}\d]/u.test(letter)).join('')).toBe('')
  },
)
