import { organizationOf, repositoriesOf } from '../../../../http/repositoriesOf'
import { seasonPurchases } from '../../../../services/season/programs'

/** What programs and planned jobs of all sites still need, against the shelf. */
export default defineEventHandler((event) => seasonPurchases(repositoriesOf(event), organizationOf(event)))
