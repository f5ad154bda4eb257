import { repositoriesOf } from '../../../../http/repositoriesOf'
import { readDay } from '../../../../services/drivingDay'

export default defineEventHandler((event) =>
  repositoriesOf(event).jobs.ofDay(readDay(event.context.params?.day)),
)
