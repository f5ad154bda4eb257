import * as v from 'valibot'
import { EarlierRowsSchema } from '#shared/schemas/earlier'
import { RecordQuerySchema } from '#shared/schemas/run'
import { UseQuerySchema } from '#shared/schemas/use'
import { asFile, asStream, defineCrewRoute, found, type Route } from '../http/defineRoute'
import { personOf } from '../http/personOf'
import { sendCalendar } from '../http/sendCalendar'
import { readRun } from '../services/appendRunEvents'
import { earlierRecords } from '../services/earlierRecords'
import { recordsCsv, recordsGeoJson, recordsJson } from '../services/recordExport'
import { recordPage } from '../services/recordList'
import { recordCalendar } from '../services/season/calendars'
import { daysOfUse, useCsv, useOf } from '../services/use'
import { After, choiceOf } from './queries'

const FORMATS = {
  csv: { type: 'text/csv; charset=utf-8', write: recordsCsv },
  json: { type: 'application/json; charset=utf-8', write: recordsJson },
  geojson: { type: 'application/geo+json', write: recordsGeoJson },
} as const

/** What was done: lists, files and reports of it, and what was noted elsewhere. */
export const RECORD_ROUTES: readonly Route[] = [
  defineCrewRoute({
    path: 'GET /records',
    summary: 'A page of records',
    query: v.object({ ...RecordQuerySchema.entries, after: After }),
    handle: ({ repositories, organization, query }) => recordPage(repositories, organization, query),
  }),
  defineCrewRoute({
    path: 'GET /records/export',
    summary: 'The records asked for as CSV or JSON, or the ground they treated as GeoJSON',
    query: v.object({ ...RecordQuerySchema.entries, format: choiceOf(['csv', 'json', 'geojson']) }),
    answer: ['text/csv', 'application/json', 'application/geo+json'],
    handle: ({ repositories, organization, query: { format, ...asked }, today, event }) => {
      const { type, write } = FORMATS[format]
      asFile(event, type, `records-${today}.${format}`)
      return asStream(event, write(repositories, organization, asked))
    },
  }),
  defineCrewRoute({
    path: 'GET /records/use',
    summary: 'What was used between two days, by active, product, site, area or person',
    query: UseQuerySchema,
    handle: async ({ repositories, query, today, event }) => {
      const asked = daysOfUse(query, today)
      const use = await useOf(repositories, asked)
      if (asked.format !== 'csv') return use
      asFile(event, 'text/csv; charset=utf-8', `use-${asked.from}-${asked.to}.csv`)
      return useCsv(use)
    },
  }),
  defineCrewRoute({
    path: 'POST /records/earlier',
    summary: 'Records that were kept elsewhere: looked at, every problem with its line, then taken in',
    body: EarlierRowsSchema,
    handle: ({ repositories, organization, body, event }) =>
      earlierRecords(repositories, body, { organization, ...personOf(event) }),
  }),
  defineCrewRoute({
    path: 'GET /records/:id',
    summary: 'One record with its events',
    handle: async ({ repositories, id }) => {
      const record = await repositories.records.find(id)
      return found(record && (await readRun(repositories, record.id)), 'record')
    },
  }),
  defineCrewRoute({
    path: 'GET /records/:id/calendar',
    summary: 'What follows from a record, as iCalendar: keep off, water in, look again, due again',
    answer: ['text/calendar'],
    handle: async ({ repositories, organization, id, event }) =>
      sendCalendar(event, await recordCalendar(repositories, organization, id)),
  }),
]
