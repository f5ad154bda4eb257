import { seedSample } from '../services/seedSample'
import { prepareDatabase, type PreparedDatabase } from './readiness'

let prepared: PreparedDatabase | undefined

/** This process's database, opened at the first call (the plugin makes it at start). */
export function currentDatabase(): PreparedDatabase {
  prepared ??= prepareDatabase(process.env.DATABASE_URL ?? 'postgres://127.0.0.1:1/none', seedSample)
  return prepared
}
