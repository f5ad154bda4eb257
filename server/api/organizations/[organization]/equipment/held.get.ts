import { repositoriesOf } from '../../../../http/repositoriesOf'

/** What each machine was last filled with, by the records. */
export default defineEventHandler((event) => repositoriesOf(event).records.held())
