import * as v from 'valibot'
import { workDay } from '#core/calendar/workDay'
import { NewCalendarSchema } from '#shared/schemas/calendar'
import { BlankOrDay, Day } from '#core/shape/texts'
import { SaveHoursSchema, SaveWeatherSchema } from '#shared/schemas/weather'
import { currentDatabase } from '../database/current'
import { asFile, defineCrewRoute, defineRoute, found, type Route } from '../http/defineRoute'
import { sendCalendar } from '../http/sendCalendar'
import { seasonOf } from '../services/season/areaSeason'
import {
  calendarAt,
  calendarsFor,
  crewCalendar,
  makeCalendar,
  revokeCalendar,
  siteCalendar,
  siteProgram,
} from '../services/season/calendars'
import { areaProgramPage, repeatsAt, seasonPurchases } from '../services/season/programs'
import { seasonBoard } from '../services/season/seasonBoard'
import { seasonPlaces } from '../services/season/seasonPlaces'
import { siteConditions } from '../services/season/siteConditions'
import { siteHours } from '../services/season/siteHours'
import { stationFile, stationRows, stationWeather } from '../services/season/stationFiles'
import { refreshWeather, saveHours, WEATHER_SERVICES } from '../services/season/weatherService'
import { seasonWeek } from '../services/season/week'
import { Units, wholeNumber } from './queries'

const SECRET = /^([\w-]{32})\.ics$/
const LAST_HOUR = 23

/** A whole number up to the most there may be; the usual one where nobody says, or says what can't be. */
const countOf = (usual: number, most: number) =>
  v.fallback(wholeNumber(usual, 1, most, 'must be a whole number from 1'), usual)
const Hour = wholeNumber(0, 0, LAST_HOUR, 'must be an hour from 0 to 23')
const UNITS = v.object({ units: Units })

/** Weather, seasons, programs, and the calendars they are told in. */
export const SEASON_ROUTES: readonly Route[] = [
  defineRoute({
    path: 'GET /api/weather-services',
    summary: 'Services a station can take its readings from: the simulated ones that ship',
    handle: () => WEATHER_SERVICES.map(({ id, name }) => ({ id, name })),
  }),
  defineRoute({
    path: 'GET /api/weather-services/:service/lines',
    summary: 'Hours as lines of text (docs/weather-lines.md)',
    query: v.object({ from: Day, today: Day, hour: Hour }),
    answer: ['text/plain'],
    fails: [404],
    handle: ({ event, query: { from, today, hour } }) => {
      const service = found(
        WEATHER_SERVICES.find(({ id }) => id === event.context.params?.service),
        'weather service',
      )
      setResponseHeaders(event, { 'content-type': 'text/plain; charset=utf-8', 'cache-control': 'no-store' })
      return `${service.lines(from, today, hour).join('\n')}\n`
    },
  }),
  defineRoute({
    path: 'GET /api/calendar/:secret',
    summary: 'A calendar at its private address: whoever has it may read it, without signing in',
    answer: ['text/calendar'],
    fails: [404],
    handle: async ({ event }) => {
      const [, secret] = SECRET.exec(event.context.params?.secret ?? '') ?? []
      return sendCalendar(event, await calendarAt(currentDatabase().database, found(secret, 'calendar')))
    },
  }),
  defineCrewRoute({
    path: 'GET /season',
    summary: 'Every turf area the crew can look at the season of, by site',
    handle: ({ repositories }) => seasonPlaces(repositories),
  }),
  defineCrewRoute({
    path: 'GET /season/board',
    summary: 'Every lawn with what opens, closes or is late',
    query: UNITS,
    fails: [422],
    handle: ({ repositories, organization, query: { units } }) =>
      seasonBoard(repositories, organization, units),
  }),
  defineCrewRoute({
    path: 'GET /season/purchases',
    summary: 'What programs and planned jobs of all sites still need, against what is on hand',
    fails: [422],
    handle: ({ repositories, organization }) => seasonPurchases(repositories, organization),
  }),
  defineCrewRoute({
    path: 'GET /season/week',
    summary: 'What programs ask for within a week, put on its days',
    query: v.object({
      sites: countOf(4, 20),
      hours: countOf(8, 16),
      people: countOf(1, 50),
      units: Units,
    }),
    fails: [422],
    handle: ({ repositories, organization, query: { units, ...room } }) =>
      seasonWeek(repositories, organization, room, units),
  }),
  defineCrewRoute({
    path: 'GET /areas/:id/season',
    summary: 'Soil, windows, heat units and coverage of an area',
    query: UNITS,
    fails: [422],
    handle: ({ repositories, organization, id, query: { units } }) =>
      seasonOf(repositories, organization, id, units),
  }),
  defineCrewRoute({
    path: 'GET /areas/:id/repeats',
    summary: 'What would close the gap behind what was laid on an area on a day',
    query: v.object({ what: v.optional(v.string(), ''), from: v.optional(v.string(), ''), units: Units }),
    fails: [422],
    handle: ({ repositories, organization, id, query: { what, from, units } }) =>
      repeatsAt(repositories, organization, id, what, from, units ?? organization.units),
  }),
  defineCrewRoute({
    path: 'GET /areas/:id/program',
    summary: 'The program of an area, dated; null where it has none',
    query: UNITS,
    fails: [422],
    handle: ({ repositories, organization, id, query: { units } }) =>
      areaProgramPage(repositories, organization, id, units),
  }),
  defineCrewRoute({
    path: 'GET /sites/:id/hours',
    summary: 'What its station tells from yesterday to tomorrow, hour by hour',
    handle: async ({ repositories, organization, id }) =>
      siteHours(repositories, organization, found(await repositories.sites.find(id), 'site')),
  }),
  defineCrewRoute({
    path: 'GET /sites/:id/weather',
    summary: 'What its station says of a day; null where it says nothing',
    query: v.object({ on: v.optional(BlankOrDay, '') }),
    handle: async ({ repositories, id, query: { on }, today }) => {
      const site = found(await repositories.sites.find(id), 'site')
      return (await siteConditions(repositories, site, workDay(on, today))) ?? null
    },
  }),
  defineCrewRoute({
    path: 'GET /sites/:id/program',
    summary: 'What comes on a site in plain words, for its client',
    handle: ({ repositories, organization, id }) => siteProgram(repositories, organization, id),
  }),
  defineCrewRoute({
    path: 'GET /sites/:id/calendar',
    summary: 'What comes on a site, as iCalendar for its client',
    answer: ['text/calendar'],
    handle: async ({ repositories, organization, id, event }) =>
      sendCalendar(event, await siteCalendar(repositories, organization, id)),
  }),
  defineCrewRoute({
    path: 'GET /stations',
    summary: 'Stations with how much of them there is, and their sites',
    handle: ({ repositories }) => stationRows(repositories),
  }),
  defineCrewRoute({
    path: 'GET /stations/:id/weather',
    summary: 'Days of ten years and hours of one, for a picture',
    handle: ({ repositories, id, today }) => stationWeather(repositories, id, today),
  }),
  defineCrewRoute({
    path: 'GET /stations/:id/file',
    summary: 'Its days as CSV or JSON',
    query: v.object({ format: v.fallback(v.optional(v.picklist(['csv', 'json']), 'csv'), 'csv') }),
    answer: ['text/csv', 'application/json'],
    handle: async ({ repositories, id, query: { format }, event }) => {
      const { type, text, name } = await stationFile(repositories, id, format)
      asFile(event, type, `${name}.${format}`)
      return text
    },
  }),
  defineCrewRoute({
    path: 'POST /stations/:id/days',
    summary: 'Days of a station; no forecast is written over what was measured',
    body: SaveWeatherSchema,
    handle: ({ repositories, id, body: { days } }) =>
      repositories.transaction(async ({ stations, weather }) => {
        found(await stations.find(id, 'lock'), 'station')
        await weather.save(id, days)
        await weather.noteTaken(id)
        return { saved: days.length }
      }),
  }),
  defineCrewRoute({
    path: 'POST /stations/:id/hours',
    summary: 'Hours of a station; its days follow from them',
    body: SaveHoursSchema,
    handle: ({ repositories, id, body: { hours } }) =>
      repositories.transaction(async (inside) => {
        found(await inside.stations.find(id, 'lock'), 'station')
        await saveHours(inside, id, hours)
        await inside.weather.noteTaken(id)
        return { saved: hours.length }
      }),
  }),
  defineCrewRoute({
    path: 'POST /weather/refresh',
    summary: 'Asks the services of the crew’s stations, at most once an hour',
    handle: ({ repositories, organization }) => refreshWeather(repositories, organization),
  }),
  defineCrewRoute({
    path: 'GET /calendars',
    summary: 'Private addresses in force; never their secret',
    handle: ({ repositories, event }) => calendarsFor(repositories, event.context.person?.id),
  }),
  defineCrewRoute({
    path: 'POST /calendars',
    summary: 'A private address, told this once',
    body: NewCalendarSchema,
    status: 201,
    fails: [404, 422],
    handle: ({ repositories, body, event }) => makeCalendar(repositories, body, event.context.person?.id),
  }),
  defineCrewRoute({
    path: 'GET /calendars/file',
    summary: 'Jobs, repeats and steps of the whole crew, as iCalendar',
    answer: ['text/calendar'],
    handle: async ({ repositories, organization, event }) =>
      sendCalendar(event, await crewCalendar(repositories, organization)),
  }),
  defineCrewRoute({
    path: 'DELETE /calendars/:id',
    summary: 'Takes an address back',
    deed: 'work',
    handle: async ({ repositories, id, event }) => {
      await revokeCalendar(repositories, id, event.context.person?.id)
      return { id }
    },
  }),
]
