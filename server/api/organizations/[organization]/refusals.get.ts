import { repositoriesOf } from '../../../http/repositoriesOf'

/** Which jobs a stop kept from being planned or run, the newest first. */
export default defineEventHandler((event) => repositoriesOf(event).refusals.latest(50))
