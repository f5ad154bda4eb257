import { repositoriesOf } from '../../../../http/repositoriesOf'

/** The crew's stations, each with what it has. */
export default defineEventHandler(async (event) => {
  const { stations, weather } = repositoriesOf(event)
  const [list, spans] = await Promise.all([stations.list(), weather.spans()])
  return list.map((station) => ({
    ...station,
    span: spans.find(({ stationId }) => stationId === station.id) ?? null,
  }))
})
