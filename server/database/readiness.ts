import { setTimeout as wait } from 'node:timers/promises'
import { openDatabase, type Database } from './connection'
import { migrate, NewerDatabaseError } from './migrate'

/** Exit code that tells the starter not to try again: the sentence printed says what to do. */
const EXIT_WILL_NOT_HELP = 78

const RETRY_MS = 500
/** An answer to "are you there" is waited for this long. */
const PING_MS = 1500

type Readiness = 'starting' | 'ok'

/** The one database of this process and how far its preparation has come. */
export interface PreparedDatabase {
  readonly database: Database
  /** Resolves once migrations and first data are in; routes that need the database wait for it. */
  readonly ready: Promise<void>
  readonly state: () => Readiness
  readonly ping: () => Promise<'ok' | 'down'>
}

/**
 * Opens and prepares a database: waits until it answers, migrates, brings in the first data.
 * A database newer than the code ends the process: no retry would help.
 */
export function prepareDatabase(url: string, seed: (database: Database) => Promise<void>): PreparedDatabase {
  const database = openDatabase(url)
  let state: Readiness = 'starting'
  const ready = prepare().then(() => {
    state = 'ok'
  })
  async function prepare(): Promise<void> {
    for (;;) {
      try {
        await migrate(url)
        return await seed(database)
      } catch (error) {
        if (error instanceof NewerDatabaseError) {
          console.error(error.message)
          process.exit(EXIT_WILL_NOT_HELP)
        }
        if (!isTransient(error)) console.error('The database could not be prepared:', error)
        await wait(RETRY_MS)
      }
    }
  }
  const ping = () =>
    Promise.race([
      database.sequelize.query('SELECT 1').then(
        () => 'ok' as const,
        () => 'down' as const,
      ),
      wait(PING_MS, 'down' as const, { ref: false }),
    ])
  return { database, ready, state: () => state, ping }
}

/** A database that is starting, stopping or away says so by these codes. */
function isTransient(error: unknown): boolean {
  const text = String(
    (error as { code?: unknown }).code ??
      (error as { original?: { code?: unknown } }).original?.code ??
      error,
  )
  return /ECONNREFUSED|ECONNRESET|57P0[0-9]|ENOTFOUND|Connection terminated/.test(text)
}
