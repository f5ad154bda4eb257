import { organizationOf, repositoriesOf } from '../../../../http/repositoriesOf'
import { unitsAsked } from '../../../../http/unitsAsked'
import { seasonWeek } from '../../../../services/season/week'

/** Where nobody says: four sites, a working day of eight hours, one person; and the most of each. */
const USUAL = { sites: 4, hours: 8, people: 1 }
const MOST = { sites: 20, hours: 16, people: 50 }

/** What programs ask for within a week, put on its days. */
export default defineEventHandler((event) => {
  const query = getQuery(event)
  const asked = (name: keyof typeof USUAL) => {
    const value = Number(query[name] ?? USUAL[name])
    return Number.isInteger(value) && value > 0 && value <= MOST[name] ? value : USUAL[name]
  }
  const room = { sites: asked('sites'), hours: asked('hours'), people: asked('people') }
  return seasonWeek(repositoriesOf(event), organizationOf(event), room, unitsAsked(event))
})
