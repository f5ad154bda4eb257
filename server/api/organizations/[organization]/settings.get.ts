import type { Organization } from '#shared/schemas/organization'
import { organizationOf } from '../../../http/repositoriesOf'

/** The organization in hand, with its house rules as they are now. */
export default defineEventHandler((event): Organization => organizationOf(event))
