import { beforeEach, expect, test } from 'vitest'
import { ref } from 'vue'
import { withVue } from '../../../test/support/vueGlobals'
import { errorText } from './errorText'
import { usePaged } from './usePaged'

interface Asked {
  readonly query: Readonly<Record<string, string>>
  readonly answer: (page: { rows: string[]; next: string | null }) => void
  readonly fail: (error: Error) => void
}
let asked: Asked[] = []
const settled = () => new Promise((resolve) => setTimeout(resolve))

beforeEach(() => {
  asked = []
  withVue({
    errorText,
    useCrewStore: () => ({ organization: { id: 'crew' } }),
    $fetch: (_: string, { query }: { query: Record<string, string> }) =>
      new Promise((answer, fail) => asked.push({ query, answer, fail } as Asked)),
  })
})

test('a list is read page by page, each behind the one before', async () => {
  const list = usePaged<string, { rows: string[]; next: string | null }>('/records', () => ({ q: 'iron' }))
  expect(list.loading.value).toBe(true)
  asked[0]!.answer({ rows: ['a', 'b'], next: 'place' })
  await settled()
  void list.more()
  expect(asked[1]!.query).toEqual({ q: 'iron', after: 'place' })
  asked[1]!.answer({ rows: ['c'], next: null })
  await settled()
  expect([list.rows.value, list.next.value, list.loading.value]).toEqual([['a', 'b', 'c'], null, false])
})

test('what is asked anew begins again, and an answer to the question before is dropped', async () => {
  const q = ref('iron')
  const list = usePaged<string, { rows: string[]; next: string | null }>('/records', () => ({ q: q.value }))
  q.value = 'feed'
  await settled()
  expect(asked.map(({ query }) => query)).toEqual([{ q: 'iron' }, { q: 'feed' }])
  asked[1]!.answer({ rows: ['feed'], next: null })
  asked[0]!.answer({ rows: ['iron'], next: null })
  await settled()
  expect(list.rows.value).toEqual(['feed'])
})

test('a page that does not come is told, and what stood there stays', async () => {
  const list = usePaged<string, { rows: string[]; next: string | null }>('/records', () => ({}))
  asked[0]!.answer({ rows: ['a'], next: 'place' })
  await settled()
  void list.more()
  asked[1]!.fail(new Error('away'))
  await settled()
  expect(list.problem.value).toBeTruthy()
  expect(list.rows.value).toEqual(['a'])
  void list.more()
  asked[2]!.answer({ rows: ['b'], next: null })
  await settled()
  expect([list.rows.value, list.problem.value]).toEqual([['a', 'b'], undefined])
})
