import { organizationOf, repositoriesOf } from '../../../../http/repositoriesOf'
import { unitsAsked } from '../../../../http/unitsAsked'
import { seasonWeek } from '../../../../services/season/week'

/** Sites visited in a day where nobody says how many. */
const USUAL_SITES = 4
const MOST_SITES = 20

/** What programs ask for within a week, put on its days. */
export default defineEventHandler((event) => {
  const asked = Number(getQuery(event).sites ?? USUAL_SITES)
  const most = Number.isInteger(asked) && asked > 0 && asked <= MOST_SITES ? asked : USUAL_SITES
  return seasonWeek(repositoriesOf(event), organizationOf(event), most, unitsAsked(event))
})
