import { EarlierRowsSchema } from '#shared/schemas/earlier'
import { personOf } from '../../../../http/personOf'
import { readBodyAs } from '../../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../../http/repositoriesOf'
import { earlierRecords } from '../../../../services/earlierRecords'

/** Records that were kept elsewhere: looked at, then taken in. */
export default defineEventHandler(async (event) =>
  earlierRecords(repositoriesOf(event), await readBodyAs(event, EarlierRowsSchema), {
    organization: organizationOf(event),
    ...personOf(event),
  }),
)
