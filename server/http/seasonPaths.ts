import { NewCalendarSchema } from '#shared/schemas/calendar'
import { SaveHoursSchema, SaveWeatherSchema } from '#shared/schemas/weather'
import type { Described, Writing } from './peoplePaths'

/** What the API's description says of weather, season, programs and calendars. */
export function seasonPaths({ body, answer, errors, id }: Writing): Described {
  const query = (...names: readonly string[]) =>
    names.map((name) => ({ name, in: 'query', required: false, schema: { type: 'string' } }))
  const tells = (summary: string, names: readonly string[] = [], ...statuses: readonly number[]) => ({
    summary,
    ...(names.length > 0 && { parameters: query(...names) }),
    responses: { 200: answer(summary), ...errors(...statuses) },
  })
  const ofOne = (get: object) => ({ parameters: [id], get })
  const crew = '/api/organizations/{organization}'
  return {
    '/api/weather-services': { get: tells('Services a station can take its readings from') },
    '/api/weather-services/{id}/lines': {
      parameters: [{ name: 'id', in: 'path', required: true, schema: { type: 'string' } }],
      get: tells('Hours as lines (docs/weather-lines.md)', ['from', 'today', 'hour'], 400, 404),
    },
    '/api/calendar/{secret}': {
      parameters: [{ name: 'secret', in: 'path', required: true, schema: { type: 'string' } }],
      get: tells('A calendar at its private address, as iCalendar', [], 404),
    },
    [`${crew}/season`]: { get: tells('Areas one can look at the season of') },
    [`${crew}/season/board`]: { get: tells('Every lawn with what opens, closes or is late', ['units'], 422) },
    [`${crew}/season/purchases`]: { get: tells('What the season still needs against the shelf', [], 422) },
    [`${crew}/season/week`]: {
      get: tells(
        'What programs ask for within a week, put on its days',
        ['sites', 'hours', 'people', 'units'],
        422,
      ),
    },
    [`${crew}/areas/{id}/season`]: ofOne(
      tells('Soil, windows, heat units and coverage of an area', ['units'], 404, 422),
    ),
    [`${crew}/areas/{id}/repeats`]: ofOne(
      tells('What would close a gap on an area', ['what', 'from', 'units'], 404, 422),
    ),
    [`${crew}/areas/{id}/program`]: ofOne(tells('The program of an area, dated', ['units'], 404, 422)),
    [`${crew}/jobs/{id}/days`]: ofOne(tells('The days forecast, scored for a job', ['units'], 404, 422)),
    [`${crew}/sites/{id}/hours`]: ofOne(tells('Its hours from yesterday to tomorrow', [], 404)),
    [`${crew}/sites/{id}/weather`]: ofOne(tells('What its station says of a day', ['on'], 400, 404)),
    [`${crew}/sites/{id}/program`]: ofOne(tells('What comes on a site in plain words', [], 404)),
    [`${crew}/sites/{id}/calendar`]: ofOne(tells('What comes on a site, as iCalendar', [], 404)),
    [`${crew}/stations`]: { get: tells('Stations, their span and their sites') },
    [`${crew}/stations/{id}/weather`]: ofOne(tells('Days of ten years and hours of one', [], 404)),
    [`${crew}/stations/{id}/file`]: ofOne(tells('Its days as CSV or JSON', ['format'], 404)),
    [`${crew}/stations/{id}/days`]: {
      parameters: [id],
      post: {
        summary: 'Days of a station; no forecast is written over what was measured',
        requestBody: body(SaveWeatherSchema),
        responses: { 200: answer('how many'), ...errors(400, 404) },
      },
    },
    [`${crew}/stations/{id}/hours`]: {
      parameters: [id],
      post: {
        summary: 'Hours of a station; its days follow from them',
        requestBody: body(SaveHoursSchema),
        responses: { 200: answer('how many'), ...errors(400, 404) },
      },
    },
    [`${crew}/weather/refresh`]: {
      post: { summary: 'Asks the services of the stations', responses: { 200: answer('what came') } },
    },
    [`${crew}/calendars`]: {
      get: tells('Private addresses in force'),
      post: {
        summary: 'A private address, told this once',
        requestBody: body(NewCalendarSchema),
        responses: { 201: answer('the address'), ...errors(400, 404, 422) },
      },
    },
    [`${crew}/calendars/file`]: { get: tells('The crew’s calendar as iCalendar') },
    [`${crew}/calendars/{id}`]: {
      parameters: [id],
      delete: { summary: 'Takes an address back', responses: { 200: answer('taken back'), ...errors(404) } },
    },
  }
}
