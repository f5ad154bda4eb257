import { expect, test } from 'vitest'
import { readTable } from '../../test/support/readTable'
import { sampleProducts } from '../../demo/sampleProducts'
import { ACTIVE_GROUPS, groupOf } from './modeOfAction'

test('the table names each active once, with a group, what it does and where it is published', () => {
  expect(ACTIVE_GROUPS.length).toBeGreaterThanOrEqual(120)
  expect(new Set(ACTIVE_GROUPS.map(({ name }) => name.toLowerCase())).size).toBe(ACTIVE_GROUPS.length)
  for (const { name, group, action, source } of ACTIVE_GROUPS)
    expect(`${group}|${action}|${source}`, name).toMatch(
      /^(?:\d{1,2}[A-C]?|M\d\d|P\d\d|U\d\d|BM\d\d|NC|UN|UNB|UNF)\|.{5,}\|.*20\d\d/,
    )
})

test('the labels of the sample agree with it', () => {
  const printed = sampleProducts()
    .flatMap(({ document }) => document.actives.map(({ name, group }) => ({ name, group })))
    .filter(({ group }) => group !== '')
  expect(printed.length).toBeGreaterThan(10)
  for (const { name, group } of printed) expect(groupOf(name.toUpperCase())?.group, name).toBe(group)
})

test.each(readTable('activeNames.csv', import.meta.url))('$printed as a label prints it: $words', (row) => {
  expect(groupOf(row.printed ?? '')?.group ?? '').toBe(row.group)
})
