import type { Role } from '../../core/people/roles'
import type { Organization } from '../schemas/organization'
import type { Person } from '../schemas/people'

declare module 'h3' {
  interface H3EventContext {
    /** Put there by the organization middleware, on every API route that reads or writes rows. */
    organization?: Organization
    /** Who is signed in. */
    person?: Person
    sessionId?: string
    /** What they are in the organization of this request. */
    role?: Role
  }
}
