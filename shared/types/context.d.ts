import type { Organization } from '../schemas/organization'

declare module 'h3' {
  interface H3EventContext {
    /** Put there by the organization middleware, on every API route that reads or writes rows. */
    organization?: Organization
  }
}
