import { beforeEach, expect, test } from 'vitest'
import type { JobRow } from '#shared/schemas/job'
import { withVue } from '../../../test/support/vueGlobals'
import { errorText } from '../shell/errorText'
import { useMoveJobs } from './useMoveJobs'

interface Said {
  readonly words: string
  readonly more: string | undefined
  readonly undo: { readonly label: string; readonly act: () => Promise<void> } | undefined
}
let saved: { url: string; day: unknown }[] = []
let said: Said[] = []
/** Jobs that won't be moved, and why. */
let refused: Readonly<Record<string, string>> = {}

beforeEach(() => {
  saved = []
  said = []
  refused = {}
  withVue({
    errorText,
    crewUrl: (path: string) => path,
    draftOf: ({ id, version }: { id: string; version: number }) => ({ id, version }),
    useNotice: () => ({
      say: (words: string, more: string | undefined, undo: Said['undo']) => said.push({ words, more, undo }),
    }),
    $fetch: async (url: string, put?: { body: { plannedFor: string } }) => {
      if (!put) return { id: url, version: 4 }
      if (refused[url]) throw Object.assign(new Error(refused[url]), { data: { message: refused[url] } })
      saved.push({ url, day: put.body.plannedFor })
      return {}
    },
  })
})

const row = (id: string, plannedFor: string) =>
  ({ id, site: id === 'b' ? '' : `Site ${id}`, plannedFor }) as JobRow

test('jobs are moved one by one, told together, and each goes back to its own day', async () => {
  let after = 0
  const { move, busy } = useMoveJobs(() => (after += 1))
  await move([row('a', '2026-05-06'), row('b', '2026-05-07')], '2026-05-09', '9 May')
  expect(saved).toEqual([
    { url: '/jobs/a', day: '2026-05-09' },
    { url: '/jobs/b', day: '2026-05-09' },
  ])
  expect([said[0]?.words, said[0]?.more, busy.value, after]).toEqual(['2 jobs moved to 9 May.', '', false, 1])
  saved = []
  await said[0]?.undo?.act()
  expect(saved.map(({ day }) => day)).toEqual(['2026-05-06', '2026-05-07'])
  expect(after).toBe(2)
})

test('one that won’t be moved is told by its site, and keeps no other from it', async () => {
  refused = { '/jobs/b': 'It runs already.' }
  const { move } = useMoveJobs(() => undefined)
  await move([row('a', '2026-05-06'), row('b', '2026-05-07')], '2026-05-09', '9 May')
  expect(said[0]?.words).toBe('One job moved to 9 May.')
  expect(said[0]?.more).toMatch(/^Unnamed site: /)
})

test('where none was moved nothing is to be undone', async () => {
  refused = { '/jobs/a': 'It runs already.' }
  await useMoveJobs(() => undefined).move([row('a', '2026-05-06')], '2026-05-09', '9 May')
  expect(said[0]?.words).toBe('No job was moved.')
  expect(said[0]?.undo).toBeUndefined()
})
