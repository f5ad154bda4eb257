import { currentDatabase } from '../database/current'

/**
 * Opens and prepares the database at start; Nitro does not wait, the middleware does. The pool closes after
 * the last request.
 */
export default defineNitroPlugin((nitro) => {
  const prepared = currentDatabase()
  nitro.hooks.hook('close', () => prepared.database.sequelize.close())
})
