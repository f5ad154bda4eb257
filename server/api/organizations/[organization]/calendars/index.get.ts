import { repositoriesOf } from '../../../../http/repositoriesOf'
import { calendarsFor } from '../../../../services/season/calendars'

/** Private addresses in force; never their secret. */
export default defineEventHandler((event) => calendarsFor(repositoriesOf(event), event.context.person?.id))
