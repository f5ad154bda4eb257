import { afterEach, vi } from 'vitest'
import * as vue from 'vue'

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
  for (const [name, value] of Object.entries({ ...quiet, ...more })) vi.stubGlobal(name, value)
}

afterEach(() => vi.unstubAllGlobals())
