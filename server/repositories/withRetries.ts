import { setTimeout as wait } from 'node:timers/promises'
import { databaseCode } from '../database/databaseCode'

/**
 * Two writers were in each other's way (deadlock, serialisation), or both made the same row first: the work
 * done again finds what the other one left, and answers by that.
 */
const WORTH_AGAIN = new Set(['40P01', '40001', '23505'])
const MOST_TRIES = 5
const PAUSE_MS = 20

/** Runs a transaction, and again a few times with growing pauses where that may help. */
export async function withRetries<T>(transaction: () => Promise<T>): Promise<T> {
  for (let tried = 1; ; tried++) {
    try {
      return await transaction()
    } catch (error) {
      if (tried === MOST_TRIES || !WORTH_AGAIN.has(databaseCode(error) ?? '')) throw error
      await wait(PAUSE_MS * 2 ** tried * (0.5 + Math.random()))
    }
  }
}
