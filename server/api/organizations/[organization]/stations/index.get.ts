import { repositoriesOf } from '../../../../http/repositoriesOf'
import { stationRows } from '../../../../services/season/stationFiles'

/** Stations with how much of them there is, and the sites that are told by them. */
export default defineEventHandler((event) => stationRows(repositoriesOf(event)))
