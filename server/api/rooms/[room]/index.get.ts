import { repositoriesOf } from '../../../http/repositoriesOf'
import { roomOf } from '../../../http/roomOf'

export default defineEventHandler((event) => roomOf(event).list(repositoriesOf(event), getQuery(event)))
