import { repositoriesOf } from '../../../http/repositoriesOf'
import { crewNames } from '../../../services/crewNames'

export default defineEventHandler((event) => crewNames(repositoriesOf(event)))
