import { afterEach, vi } from 'vitest'
import * as vue from 'vue'
import { questions, type Question } from '~/composables/shell/questions'

type Fetch = (url: string, options?: object) => Promise<unknown>
interface Given {
  readonly $fetch: Fetch
  readonly crewUrl?: (path: string) => string
}
const given = () => globalThis as unknown as Given

/** The server as a test gives it, by a `$fetch` of its own. */
export const givenServer = {
  questions,
  ask: ({ url, query }: Question<unknown>) =>
    Object.keys(query).length === 0 ? given().$fetch(url) : given().$fetch(url, { query }),
  tell: (method: string, path: string, body: object = {}) =>
    given().$fetch(given().crewUrl?.(path) ?? path, { method, body }),
}

/**
 * What Nuxt puts into scope by itself, for composables that are tried without a page; others are given. Taken
 * away again after each test.
 */
export function withVue(more: Readonly<Record<string, unknown>> = {}): void {
  const names = ['computed', 'reactive', 'ref', 'shallowRef', 'shallowReactive', 'watch', 'nextTick'] as const
  for (const name of names) vi.stubGlobal(name, vue[name])
  for (const name of ['toValue', 'unref', 'provide', 'inject'] as const) vi.stubGlobal(name, vue[name])
  const quiet = {
    onMounted: () => undefined,
    onBeforeUnmount: () => undefined,
    onScopeDispose: () => undefined,
  }
  for (const [name, value] of Object.entries({ ...quiet, ...givenServer, ...more }))
    vi.stubGlobal(name, value)
}

afterEach(() => vi.unstubAllGlobals())
