import { organizationOf, repositoriesOf } from '../../../../http/repositoriesOf'
import { refreshWeather } from '../../../../services/season/weatherService'

/** Asks the services of the crew's stations, at most once an hour. */
export default defineEventHandler((event) => refreshWeather(repositoriesOf(event), organizationOf(event)))
