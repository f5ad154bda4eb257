import { readId } from '../../../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../../../http/repositoriesOf'
import { siteProgram } from '../../../../../services/season/calendars'

/** What comes on a site in plain words, for its client. */
export default defineEventHandler((event) =>
  siteProgram(repositoriesOf(event), organizationOf(event), readId(event)),
)
