import { readId } from '../../../../../http/readBody'
import { organizationOf, repositoriesOf } from '../../../../../http/repositoriesOf'
import { todayFor } from '../../../../../services/clock'
import { stationWeather } from '../../../../../services/season/stationFiles'

/** Days of ten years and hours of one, for a picture. */
export default defineEventHandler((event) =>
  stationWeather(repositoriesOf(event), readId(event), todayFor(organizationOf(event))),
)
