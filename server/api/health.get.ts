import { currentDatabase } from '../database/current'

export default defineEventHandler(async (event) => {
  const prepared = currentDatabase()
  const database = await prepared.ping()
  if (database === 'ok' && prepared.state() === 'starting') {
    setResponseStatus(event, 503)
    return { status: 'starting' }
  }
  if (database === 'down') setResponseStatus(event, 503)
  return { status: database === 'ok' ? 'ok' : 'down', version: useRuntimeConfig().version, database }
})
