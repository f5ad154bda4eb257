import { randomBytes } from 'node:crypto'

/**
 * Sessions are sealed with a secret that the starter keeps beside the data. Started without one, sessions
 * last as long as this process: better than a failure at the first sign-in.
 */
export default defineNitroPlugin(() => {
  process.env.NUXT_SESSION_PASSWORD ||= randomBytes(32).toString('base64url')
})
