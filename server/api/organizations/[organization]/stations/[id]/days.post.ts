import { SaveWeatherSchema } from '#shared/schemas/weather'
import { failure } from '../../../../../http/failure'
import { readBodyAs, readId } from '../../../../../http/readBody'
import { repositoriesOf } from '../../../../../http/repositoriesOf'

/** Days of a station: written over those that are there, but no forecast over what was measured. */
export default defineEventHandler(async (event) => {
  const id = readId(event)
  const { days } = await readBodyAs(event, SaveWeatherSchema)
  return repositoriesOf(event).transaction(async ({ stations, weather }) => {
    if (!(await stations.find(id, 'lock'))) throw failure('not-found', 'There is no such station.')
    await weather.save(id, days)
    await weather.noteTaken(id)
    return { saved: days.length }
  })
})
