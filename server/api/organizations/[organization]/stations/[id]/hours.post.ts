import { SaveHoursSchema } from '#shared/schemas/weather'
import { failure } from '../../../../../http/failure'
import { readBodyAs, readId } from '../../../../../http/readBody'
import { repositoriesOf } from '../../../../../http/repositoriesOf'
import { saveHours } from '../../../../../services/season/weatherService'

/** Hours of a station; its days follow from them. */
export default defineEventHandler(async (event) => {
  const id = readId(event)
  const { hours } = await readBodyAs(event, SaveHoursSchema)
  return repositoriesOf(event).transaction(async (inside) => {
    if (!(await inside.stations.find(id, 'lock'))) throw failure('not-found', 'There is no such station.')
    await saveHours(inside, id, hours)
    await inside.weather.noteTaken(id)
    return { saved: hours.length }
  })
})
