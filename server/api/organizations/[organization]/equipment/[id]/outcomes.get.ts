import { readId } from '../../../../../http/readBody'
import { repositoriesOf } from '../../../../../http/repositoriesOf'
import { machineOutcomes } from '../../../../../services/machineOutcomes'

export default defineEventHandler((event) => machineOutcomes(repositoriesOf(event), readId(event)))
