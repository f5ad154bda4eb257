import { PiniaColada } from '@pinia/colada'
import { createPinia } from 'pinia'
import { expect, test } from 'vitest'
import { createApp, effectScope, nextTick, ref } from 'vue'
import { withVue } from '../../../test/support/vueGlobals'
import { errorText } from './errorText'
import { useAnswer, useAnswers } from './useAnswer'

/** A server that answers when the test says so, and what a page asks it. */
function asked<T>(use: () => T) {
  const open = new Map<string, { resolve: (rows: unknown) => void; reject: (why: unknown) => void }>()
  withVue({
    errorText,
    useAnswer,
    $fetch: (url: string) =>
      new Promise((resolve, reject) => {
        open.set(url, { resolve, reject })
      }),
  })
  const app = createApp({})
  app.use(createPinia()).use(PiniaColada)
  const page = app.runWithContext(() => effectScope().run(use)!)
  const answer = async (url: string, rows: unknown) => {
    open.get(url)!.resolve(rows)
    await new Promise((done) => setTimeout(done))
  }
  return { page, open, answer }
}

test('the late answer of another site never shows; one that was there comes back at once', async () => {
  const site = ref('/a')
  const { page, answer } = asked(() => useAnswers(() => ({ url: site.value, query: {} })))
  site.value = '/b'
  await nextTick()
  await answer('/b', ['B'])
  await answer('/a', ['A'])
  expect(page.answer.value).toEqual(['B'])
  site.value = '/a'
  await nextTick()
  expect(page.answer.value).toEqual(['A'])
})

test('what went wrong is said, and what was shown stays until there is an answer again', async () => {
  const { page, open, answer } = asked(() => useAnswer(() => ({ url: '/a', query: {} })))
  await nextTick()
  expect(page.loading.value).toBe(true)
  await answer('/a', 'before')
  const again = page.again()
  await nextTick()
  open
    .get('/a')!
    .reject({ data: { error: { code: 'unexpected', issues: [{ path: '', message: 'Down.' }] } } })
  await again
  expect([page.answer.value, page.problem.value, page.loading.value]).toEqual(['before', 'Down.', false])
})

test('nothing is asked while there is nothing to ask', async () => {
  const { page, open } = asked(() => useAnswers(() => undefined))
  await page.again()
  expect([open.size, page.answer.value, page.loading.value]).toEqual([0, [], false])
})
