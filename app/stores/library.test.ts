import { PiniaColada } from '@pinia/colada'
import { createPinia, setActivePinia } from 'pinia'
import { expect, test } from 'vitest'
import { createApp, nextTick, reactive } from 'vue'
import { withVue } from '../../test/support/vueGlobals'
import { errorText } from '../composables/shell/errorText'
import { useAnswer, useAnswers } from '../composables/shell/useAnswer'
import { useLibraryStore } from './library'

/** The library over a server that answers each address with its own name. */
function opened(refuses: (url: string) => boolean = () => false) {
  const crew = reactive({ organization: { id: 'crew' } })
  withVue({
    errorText,
    useAnswer,
    useAnswers,
    useCrewStore: () => crew,
    crewUrl: (path: string) => `/${crew.organization.id}${path}`,
    $fetch: async (url: string, { query }: { query?: { siteId?: string } } = {}) => {
      if (refuses(url)) throw new TypeError('fetch failed')
      if (url.includes('weather')) return { of: url }
      return url.includes('/library/sites/') ? { document: {} } : [query?.siteId ?? url]
    },
  })
  const pinia = createPinia()
  const app = createApp({})
  app.use(pinia).use(PiniaColada)
  setActivePinia(pinia)
  return { crew, library: app.runWithContext(() => useLibraryStore()) }
}
const settle = () => new Promise((done) => setTimeout(done))

test('a site that is in hand no more leaves no lawn, ledger or weather behind', async () => {
  const { crew, library } = opened()
  library.lookAtDay('2026-05-06')
  await library.loadAreas('a', 'job')
  await settle()
  expect([library.areas, library.ledger]).toEqual([['a'], ['/crew/sites/a/ledger']])
  expect(library.weather).toEqual({ of: '/crew/sites/a/weather' })
  library.takeInHand({ siteId: null, jobId: 'job' })
  await nextTick()
  expect([library.areas, library.ledger, library.weather, library.ledgerState]).toEqual([
    [],
    [],
    undefined,
    'read',
  ])
  await library.loadAreas('a', 'job')
  crew.organization = { id: 'another' }
  expect([library.siteId, library.areas]).toEqual([null, []])
})

test('a library that can’t be read is not there; a ledger that can’t be read is told', async () => {
  const { library } = opened((url) => /products|ledger/.test(url))
  await expect(library.load()).rejects.toThrow('fetch failed')
  expect([library.loaded, library.problem !== undefined, library.products]).toEqual([false, true, []])
  await library.loadAreas('a')
  expect([library.ledgerState, library.areas]).toEqual(['missing', ['a']])
})
