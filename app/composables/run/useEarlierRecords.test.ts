import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { givenServer } from '../../../test/support/vueGlobals'
import { ref, shallowRef } from 'vue'
import { EARLIER_ROWS, type EarlierReading, type EarlierRows } from '#shared/schemas/earlier'
import { errorText } from '../shell/errorText'
import { useEarlierRecords } from './useEarlierRecords'

/** What the server was asked, and how it answers. */
let asked: EarlierRows[] = []
let answer: (one: EarlierRows) => EarlierReading
const readings = ({ rows, firstLine, take }: EarlierRows): EarlierReading => ({
  records: rows.map((_, i) => ({
    id: `record ${firstLine + i}`,
    line: firstLine + i,
    finishedAt: '2025-05-06T16:00:00.000Z',
    site: 'Elm House',
    products: 'Feed',
    sizeM2: 100,
    unknown: [],
    notes: [],
    state: 'new',
  })),
  problems: [],
  added: take === 'keep' ? rows.length : 0,
})

beforeEach(() => {
  asked = []
  answer = readings
  const globals = {
    ref,
    shallowRef,
    errorText,
    crewUrl: (path: string) => path,
    ...givenServer,
    $fetch: async (_: string, { body }: { body: EarlierRows }) => {
      asked.push(body)
      return answer(body)
    },
  }
  for (const [name, value] of Object.entries(globals)) vi.stubGlobal(name, value)
})
afterEach(() => vi.unstubAllGlobals())

const table = (rows: number, head = 'Site,Product,Used') =>
  new File(
    [[head, ...Array.from({ length: rows }, (_, i) => `Elm House,Feed ${i},28 lb`)].join('\n')],
    'old.csv',
  )

test('a table is looked at in parts that know their lines, and nothing is stored', async () => {
  const file = useEarlierRecords()
  await file.open(table(2 * EARLIER_ROWS + 5))
  expect(asked.map(({ take, firstLine, rows }) => [take, firstLine, rows.length])).toEqual([
    ['look', 2, EARLIER_ROWS],
    ['look', 2 + EARLIER_ROWS, EARLIER_ROWS],
    ['look', 2 + 2 * EARLIER_ROWS, 5],
  ])
  expect(file.records.value).toHaveLength(2 * EARLIER_ROWS + 5)
  expect(file.progress.value).toBeUndefined()
})

test('taken in part by part; what broke off is said, and how much is in', async () => {
  const file = useEarlierRecords()
  await file.open(table(EARLIER_ROWS + 1))
  answer = (one) => {
    if (one.take === 'keep' && one.firstLine > 2) throw new TypeError('fetch failed')
    return readings(one)
  }
  expect(await file.take()).toBe(EARLIER_ROWS)
  expect(file.refused.value).toMatch(/does not answer/)
})

test.each([
  ['no table of records', new File(['a,b\n1,2'], 'other.csv'), /its first line must name the columns/],
  ['nothing below its heads', new File(['Site,Product,Used'], 'blank.csv'), /its first line must name/],
])('%s is refused with what would be right, and nobody is asked', async (_, file, message) => {
  const earlier = useEarlierRecords()
  await earlier.open(file)
  expect(earlier.refused.value).toMatch(message)
  expect(asked).toEqual([])
})

test('cells beyond the last head are no column', async () => {
  const file = useEarlierRecords()
  await file.open(new File(['Site,Product,Used\nElm House,Feed,28 lb,more,still more'], 'wide.csv'))
  expect(asked[0]?.rows).toEqual([{ Site: 'Elm House', Product: 'Feed', Used: '28 lb' }])
})

test('left, nothing of it stands there any more', async () => {
  const file = useEarlierRecords()
  await file.open(table(3))
  file.drop()
  expect([file.records.value, file.name.value]).toEqual([[], ''])
})
