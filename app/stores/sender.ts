import { useEventListener } from '@vueuse/core'
import { defineStore } from 'pinia'
import type { ErrorCode } from '#shared/errorCodes'

/** How long the server is left alone after it did not answer, ms: twice as long each time. */
const FIRST_WAIT_MS = 2000
const LONGEST_WAIT_MS = 60_000

/**
 * What could not be sent for want of a server, drafts and entries of runs alike: tried again together, later
 * each time, and at once when there is a network again or somebody looks.
 */
export const useSenderStore = defineStore('sender', () => {
  const waiting = new Map<string, () => Promise<void>>()
  let timer: ReturnType<typeof setTimeout> | undefined
  let wait = FIRST_WAIT_MS

  /** Sends it later. @param key what it is: the same again takes its place */
  function later(key: string, send: () => Promise<void>) {
    waiting.set(key, send)
    timer ??= setTimeout(() => void sendAll(), wait)
  }

  /** It has arrived, or is not wanted any more. */
  function settled(key: string) {
    waiting.delete(key)
    wait = FIRST_WAIT_MS
  }

  /** Nobody is signed in any more: what waits stays on the device, and is not sent for somebody else. */
  function forget() {
    waiting.clear()
  }

  async function sendAll() {
    clearTimeout(timer)
    timer = undefined
    if (waiting.size === 0) return
    wait = Math.min(LONGEST_WAIT_MS, wait * 2)
    const round = [...waiting]
    waiting.clear()
    // One after the other: what can't go puts itself back.
    for (const [, send] of round) await send()
  }

  if (import.meta.client) {
    useEventListener(window, 'online', () => void sendAll())
    useEventListener(document, 'visibilitychange', () => {
      if (document.visibilityState === 'visible') void sendAll()
    })
  }
  return { later, settled, forget }
})

/** Whether no answer came, or one that is not about what was sent. */
export function isAway(error: unknown): boolean {
  const code = errorCode(error)
  return code === undefined || AWAY.includes(code)
}
const AWAY: readonly ErrorCode[] = ['database-down', 'starting', 'sign-in', 'wait', 'unexpected']
