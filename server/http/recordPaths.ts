import { EarlierRowsSchema } from '#shared/schemas/earlier'
import type { Described, Writing } from './peoplePaths'

/** What the API's description says of records: lists, files, reports, and what was noted elsewhere. */
export function recordPaths({ body, answer, errors, id }: Writing): Described {
  const asked = (...names: readonly string[]) =>
    names.map((name) => ({ name, in: 'query', required: false, schema: { type: 'string' } }))
  const records = '/api/organizations/{organization}/records'
  return {
    [records]: {
      get: {
        summary: 'A page of records',
        parameters: asked('q', 'verdict', 'siteId', 'from', 'to', 'sort', 'after'),
        responses: { 200: answer('records'), ...errors(400) },
      },
    },
    [`${records}/export`]: {
      get: {
        summary: 'The records asked for as CSV or JSON, or the ground they treated as GeoJSON',
        parameters: asked('format', 'q', 'verdict', 'siteId', 'from', 'to', 'sort'),
        responses: { 200: answer('a file'), ...errors(400) },
      },
    },
    [`${records}/use`]: {
      get: {
        summary: 'What was used between two days, by active, product, site, area or person',
        parameters: asked('by', 'from', 'to', 'format'),
        responses: { 200: answer('the report, or a file'), ...errors(400) },
      },
    },
    [`${records}/earlier`]: {
      post: {
        summary: 'Records that were kept elsewhere: looked at, then taken in',
        requestBody: body(EarlierRowsSchema),
        responses: { 200: answer('what they become, and every problem with its line'), ...errors(400) },
      },
    },
    [`${records}/{id}`]: {
      parameters: [id],
      get: { summary: 'One record with its events', responses: { 200: answer('record'), ...errors(404) } },
    },
    [`${records}/{id}/calendar`]: {
      parameters: [id],
      get: {
        summary: 'What follows from a record, as iCalendar',
        responses: { 200: answer('a calendar'), ...errors(404) },
      },
    },
  }
}
