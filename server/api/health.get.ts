import { currentDatabase } from '../database/current'

export default defineEventHandler(async (event) => {
  const prepared = currentDatabase()
  if (prepared.state() === 'starting') {
    setResponseStatus(event, 503)
    return { status: 'starting' }
  }
  const database = await prepared.ping()
  if (database === 'down') setResponseStatus(event, 503)
  return { status: database === 'ok' ? 'ok' : 'down', version: useRuntimeConfig().version, database }
})
