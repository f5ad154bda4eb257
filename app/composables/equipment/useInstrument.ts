import { readLine, type DeviceReading } from '#core/devices/deviceLine'
import { lineReader } from '#core/devices/lineReader'

/** How the wire to an instrument stands. */
export type Link = 'off' | 'connecting' | 'live' | 'lost'

const RETRY_MS = [500, 1000, 2000, 4000]

/**
 * Listens to an instrument's lines; a dropped wire is taken up again, an unreadable line is counted and
 * passed over.
 * @param address of its stream; undefined: none
 */
export function useInstrument(address: () => string | undefined) {
  const link = ref<Link>('off')
  const readings = shallowRef<ReadonlyMap<DeviceReading['quantity'], DeviceReading>>(new Map())
  const unreadable = ref(0)
  let stop: AbortController | undefined

  function take(line: string) {
    const read = readLine(line)
    if (read.ok) readings.value = new Map(readings.value).set(read.value.quantity, read.value)
    else unreadable.value += 1
  }

  /** Reads until the stream ends or breaks. */
  async function listen(url: string, signal: AbortSignal) {
    const answer = await fetch(url, { signal })
    if (!answer.ok || !answer.body) throw new Error(`the instrument answered ${answer.status}`)
    link.value = 'live'
    const lines = lineReader()
    const decoder = new TextDecoder()
    const reader = answer.body.getReader()
    for (;;) {
      const { done, value } = await reader.read()
      if (done) return
      for (const line of lines.push(decoder.decode(value, { stream: true }))) take(line)
    }
  }

  async function stayConnected(url: string, signal: AbortSignal) {
    for (let tries = 0; !signal.aborted; tries++) {
      if (tries > 0) {
        link.value = 'lost'
        await new Promise((resolve) => {
          setTimeout(resolve, RETRY_MS[Math.min(tries, RETRY_MS.length) - 1])
        })
        if (signal.aborted) return
      }
      const before = readings.value
      await listen(url, signal).catch(() => undefined)
      // It spoke: the next drop is tried again at once.
      if (readings.value !== before) tries = 0
    }
  }

  watch(
    address,
    (url, before) => {
      stop?.abort()
      readings.value = new Map()
      if (before?.split('?')[0] !== url?.split('?')[0]) unreadable.value = 0
      if (url === undefined) {
        link.value = 'off'
        return
      }
      stop = new AbortController()
      link.value = 'connecting'
      void stayConnected(url, stop.signal)
    },
    { immediate: true },
  )
  onScopeDispose(() => stop?.abort())
  return { link, readings, unreadable }
}
