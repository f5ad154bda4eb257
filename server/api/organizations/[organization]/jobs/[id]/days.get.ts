import { readId } from '../../../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../../../http/repositoriesOf'
import { unitsAsked } from '../../../../../http/unitsAsked'
import { jobDays } from '../../../../../services/season/jobDays'

/** The days that are forecast, scored for a job. */
export default defineEventHandler((event) =>
  jobDays(repositoriesOf(event), organizationOf(event), readId(event), unitsAsked(event)),
)
