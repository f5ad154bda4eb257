import * as v from 'valibot'
import { Day } from '#shared/schemas/texts'
import { failure } from '../../../http/failure'
import { WEATHER_SERVICES } from '../../../services/season/weatherService'

/** Hours of a service as lines of text (docs/weather-lines.md). */
export default defineEventHandler((event) => {
  const service = WEATHER_SERVICES.find(({ id }) => id === getRouterParam(event, 'id'))
  if (!service) throw failure('not-found', 'There is no such weather service.')
  const { from, today, hour } = getQuery(event)
  const days = v.safeParse(v.tuple([Day, Day]), [from, today])
  const now = Number(hour ?? 0)
  if (!days.success || !Number.isInteger(now) || now < 0 || now > 23)
    throw failure('invalid', [
      { path: 'from', message: 'must have days from and today, YYYY-MM-DD, and an hour from 0 to 23' },
    ])
  const [first, last] = days.output
  setResponseHeaders(event, { 'content-type': 'text/plain; charset=utf-8', 'cache-control': 'no-store' })
  return `${service.lines(first, last, now).join('\n')}\n`
})
