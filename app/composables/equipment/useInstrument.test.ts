import { afterEach, beforeEach, expect, test, vi } from 'vitest'
import { effectScope, onScopeDispose, ref } from 'vue'
import { writeLine } from '#core/devices/deviceLine'
import { withVue } from '../../../test/support/vueGlobals'
import { useInstrument } from './useInstrument'

/** What the instrument sends, connection by connection; none left: nobody answers. */
let connections: string[][] = []
let asked: string[] = []

beforeEach(() => {
  vi.useFakeTimers()
  connections = []
  asked = []
  withVue({
    onScopeDispose,
    fetch: async (url: string) => {
      asked.push(url)
      const lines = connections.shift()
      if (!lines) throw new Error('nobody answers')
      const chunks = lines.map((text) => new TextEncoder().encode(text))
      return { ok: true, body: new ReadableStream({ start: (stream) => void sendAll(stream, chunks) }) }
    },
  })
})
afterEach(() => vi.useRealTimers())

function sendAll(stream: ReadableStreamDefaultController, chunks: readonly Uint8Array[]): void {
  for (const chunk of chunks) stream.enqueue(chunk)
  stream.close()
}
const pass = (ms: number) => vi.advanceTimersByTimeAsync(ms)
const scope = () => effectScope()

test('readings come line by line, however the wire cuts them; the newest of each kind stands', async () => {
  const line = (value: number, quantity: 'weight' | 'volume' = 'weight') =>
    `${writeLine({ clock: 1, quantity, value, state: 'steady' })}\n`
  const sent = `${line(5602.1)}${line(946.4, 'volume')}noise\n${line(5597.6)}`
  connections = [[sent.slice(0, 9), sent.slice(9, 50), sent.slice(50)]]
  const own = scope()
  const { readings, unreadable, link } = own.run(() => useInstrument(() => '/scale'))!
  expect(link.value).toBe('connecting')
  await pass(1)
  expect([...readings.value.values()].map(({ quantity, value }) => [quantity, value])).toEqual([
    ['weight', 5597.6],
    ['volume', 946.4],
  ])
  expect(unreadable.value).toBe(1)
  own.stop()
})

test('a dropped wire is taken up again, later and later, and given up with the screen', async () => {
  const own = scope()
  const { link } = own.run(() => useInstrument(() => '/scale'))!
  await pass(1)
  expect([asked.length, link.value]).toEqual([1, 'lost'])
  await pass(500)
  expect(asked).toHaveLength(2)
  await pass(1000)
  expect(asked).toHaveLength(3)
  await pass(1990)
  expect(asked).toHaveLength(3)
  await pass(10)
  expect(asked).toHaveLength(4)
  own.stop()
  await pass(60_000)
  expect(asked).toHaveLength(4)
})

test('another instrument is another wire, with readings of its own; none is off', async () => {
  const address = ref<string | undefined>('/scale')
  const own = scope()
  const { link } = own.run(() => useInstrument(() => address.value))!
  await pass(1)
  address.value = '/meter'
  await pass(1)
  expect(asked.at(-1)).toBe('/meter')
  address.value = undefined
  await pass(60_000)
  expect(link.value).toBe('off')
  expect(asked).toHaveLength(2)
  own.stop()
})
