import { beforeEach, expect, test } from 'vitest'
import * as v from 'valibot'
import { withVue } from '../../../test/support/vueGlobals'
import { errorText } from '../shell/errorText'
import { jsonItems, useFileImport, type FileFormat } from './useFileImport'

const Schema = v.object({ products: v.array(v.object({ name: v.string() })) })
let sent: readonly string[][] = []
let answer: () => Promise<{ added: number; kept: number }>

const FORMAT: FileFormat<string> = {
  column: 'Name',
  rows: (rows) => ({
    items: rows.flatMap(({ Name }) => Name || []),
    problems: rows.flatMap(({ Name }, i) =>
      Name ? [] : [{ line: i + 2, column: 'Name', message: 'is blank: a label has a name.' }],
    ),
  }),
  json: (value) => jsonItems(Schema, value, ({ products }) => products.map(({ name }) => name)),
  refuse: (items) => (items.includes('Other crew') ? 'They are another crew’s.' : undefined),
  send: async (items) => {
    sent = [...sent, [...items]]
    return answer()
  },
}
const file = (text: string) => new File([text], 'labels.csv')

beforeEach(() => {
  sent = []
  answer = async () => ({ added: 1, kept: 0 })
  withVue({ errorText })
})

test('a table is shown before anything is taken, then taken as a whole', async () => {
  const { open, take, found, problems } = useFileImport(FORMAT)
  await open(file('Name, Rate\nFeed,3\n\nIron,2\n'))
  expect([found.value, problems.value, sent]).toEqual([['Feed', 'Iron'], [], []])
  expect(await take()).toEqual({ added: 1, kept: 0 })
  expect(sent).toEqual([['Feed', 'Iron']])
  expect(found.value).toEqual([])
})

test('one wrong line and none of it is taken; many are told as a few and a number', async () => {
  const { open, found, problems } = useFileImport(FORMAT)
  await open(file('Name,Rate\nFeed,3\n,2\n'))
  expect(found.value).toEqual([])
  expect(problems.value).toEqual(['Line 3, Name: is blank: a label has a name.'])
  await open(file(`Name,Rate\n${',1\n'.repeat(12)}`))
  expect(problems.value).toHaveLength(9)
  expect(problems.value.at(-1)).toBe('and 4 more')
})

test('what is no such file says what one would be', async () => {
  const { open, problems } = useFileImport(FORMAT)
  await open(file('Title,Rate\nFeed,3'))
  expect(problems.value[0]).toMatch(/must name the columns, Name among them/)
  await open(file(''))
  expect(problems.value[0]).toMatch(/no such table/)
  await open(file('{"products": ['))
  expect(problems.value[0]).toMatch(/cut off or changed/)
  await open(file('{"products": [{"name": 3}]}'))
  expect(problems.value[0]).toMatch(/^products\.0\.name: /)
  await open(file('x'.repeat(1_000_001)))
  expect(problems.value[0]).toMatch(/over 1 MB/)
})

test('a file that can be read and can’t go here is refused with its reason', async () => {
  const { open, found, problems } = useFileImport(FORMAT)
  await open(file('{"products": [{"name": "Other crew"}]}'))
  expect([found.value, problems.value]).toEqual([[], ['They are another crew’s.']])
})

test('what the server refuses stays in view', async () => {
  const { open, take, found, problems, busy } = useFileImport(FORMAT)
  await open(file('{"products": [{"name": "Feed"}]}'))
  answer = () => Promise.reject(new Error('away'))
  expect(await take()).toBeUndefined()
  expect(found.value).toEqual(['Feed'])
  expect(problems.value).toHaveLength(1)
  expect(busy.value).toBe(false)
})
