import { SaveDaySchema } from '#shared/schemas/job'
import { readBodyAs } from '../../../../http/readBody'
import { repositoriesOf } from '../../../../http/repositoriesOf'
import { putInOrder, readDay } from '../../../../services/drivingDay'

export default defineEventHandler(async (event) => {
  const day = readDay(event.context.params?.day)
  return putInOrder(repositoriesOf(event), day, (await readBodyAs(event, SaveDaySchema)).order)
})
