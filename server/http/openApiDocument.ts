import { toJsonSchema } from '@valibot/to-json-schema'
import type { GenericSchema } from 'valibot'
import {
  CurveAnswerSchema,
  CurveRequestSchema,
  NozzlesAnswerSchema,
  NozzlesRequestSchema,
  PatternAnswerSchema,
  PatternRequestSchema,
} from '#shared/schemas/compute/bench'
import { ReadLabelAnswerSchema, ReadLabelRequestSchema } from '#shared/schemas/compute/readLabel'
import {
  CoverageAnswerSchema,
  CoverageRequestSchema,
  LanesAnswerSchema,
  LanesRequestSchema,
} from '#shared/schemas/compute/lanes'
import { SeasonAnswerSchema, SeasonRequestSchema } from '#shared/schemas/compute/season'
import { CalibrateAnswerSchema, CalibrateRequestSchema } from '#shared/schemas/compute/calibrate'
import { MeasureAnswerSchema, MeasureRequestSchema } from '#shared/schemas/compute/measure'
import { ImportCalibrationsSchema } from '#shared/schemas/calibrationFile'
import { CopySiteSchema, SaveSiteMapSchema } from '#shared/schemas/ground'
import { JobFileSchema, SaveDaySchema, SaveJobSchema } from '#shared/schemas/job'
import {
  ChooseOrganizationSchema,
  NewOrganizationSchema,
  SaveMixesSchema,
  SaveOrganizationSchema,
} from '#shared/schemas/organization'
import { PlanRequestSchema } from '#shared/schemas/plan'
import { ErrorSchema, HealthSchema, PlanResponseSchema } from '#shared/schemas/planResponse'
import { NewMovementSchema } from '#shared/schemas/product'
import { ImportProductsSchema } from '#shared/schemas/productFile'
import { RemoveSchema, LIBRARY_KINDS, type LibraryKind } from '#shared/schemas/library'
import { NewRunEventsSchema } from '#shared/schemas/run'
import { LIBRARY } from '../services/library'
import { peoplePaths } from './peoplePaths'
import { recordPaths } from './recordPaths'
import { seasonPaths } from './seasonPaths'

const json = (schema: GenericSchema) => {
  const { $schema: _, ...plain } = toJsonSchema(schema, { errorMode: 'ignore' })
  return { content: { 'application/json': { schema: plain } } }
}
const answer = (description: string, schema?: GenericSchema) => ({ description, ...(schema && json(schema)) })
const errors = (...statuses: readonly number[]) =>
  Object.fromEntries(statuses.map((status) => [status, answer('the one error form', ErrorSchema)]))
const id = { name: 'id', in: 'path', required: true, schema: { type: 'string', format: 'uuid' } }
const asked = (...names: readonly string[]) =>
  names.map((name) => ({ name, in: 'query', required: false, schema: { type: 'string' } }))
const body = (schema: GenericSchema) => ({ required: true, ...json(schema) })

/** The API's description, made from the same schemas that check the requests. */
export const openApiDocument = (version: string) => ({
  openapi: '3.1.0',
  info: {
    title: 'Hectarum',
    version,
    description: 'Health and plan are the public contract; the other routes serve the application.',
  },
  paths: {
    '/api/health': {
      get: {
        summary: 'Is the server up and its database ready',
        responses: { 200: answer('ready', HealthSchema), 503: answer('not ready', HealthSchema) },
      },
    },
    '/api/plan': {
      post: {
        summary: 'Plan one application; computes only, saves nothing',
        requestBody: body(PlanRequestSchema),
        responses: { 200: answer('the plan', PlanResponseSchema), ...errors(400, 413, 422) },
      },
    },
    ...computePaths(),
    '/api/openapi.json': { get: { summary: 'This document', responses: { 200: answer('OpenAPI 3.1') } } },
    ...peoplePaths({ body, answer, errors, id }),
    '/api/organizations': {
      get: {
        summary: 'The organization in hand and the others',
        responses: { 200: answer('organizations') },
      },
      post: {
        summary: 'Start a crew of one’s own',
        requestBody: body(NewOrganizationSchema),
        responses: { 201: answer('made and chosen'), ...errors(400, 403, 415) },
      },
    },
    '/api/organizations/current': {
      put: {
        summary: 'Change to another organization',
        requestBody: body(ChooseOrganizationSchema),
        responses: { 200: answer('changed'), ...errors(400, 404) },
      },
    },
    '/api/organizations/{organization}/settings': {
      get: {
        summary: 'The organization in hand, with its house rules',
        responses: { 200: answer('found') },
      },
      put: {
        summary: 'Name, licence, clock and house rules',
        requestBody: body(SaveOrganizationSchema),
        responses: { 200: answer('saved'), ...errors(400, 409) },
      },
    },
    '/api/organizations/{organization}/mixes': {
      put: {
        summary: 'Note what the crew found of pairs of products',
        requestBody: body(SaveMixesSchema),
        responses: { 200: answer('the crew'), ...errors(400, 409) },
      },
    },
    '/api/organizations/sample': {
      post: {
        summary: 'Open the sample afresh on its morning',
        responses: { 201: answer('made and chosen') },
      },
    },
    ...Object.fromEntries(LIBRARY_KINDS.flatMap((room) => roomPaths(room))),
    '/api/organizations/{organization}/sites': {
      get: {
        summary: 'Sites by name, a page at a time',
        parameters: asked('q', 'after'),
        responses: { 200: answer('sites'), ...errors(400) },
      },
    },
    '/api/organizations/{organization}/sites/{id}/ledger': {
      parameters: [id],
      get: {
        summary: 'What was put down on a site',
        responses: { 200: answer('ledger rows'), ...errors(404) },
      },
    },
    '/api/organizations/{organization}/sites/{id}/planned': {
      parameters: [id],
      get: {
        summary: 'What planned jobs are going to put down on a site, but for the job that is named',
        parameters: asked('job'),
        responses: { 200: answer('planned rows'), ...errors(404) },
      },
    },
    '/api/organizations/{organization}/refusals': {
      get: {
        summary: 'Stops that kept jobs from being planned or run, the newest first',
        responses: { 200: answer('refusals') },
      },
    },
    '/api/organizations/{organization}/sites/{id}/map': {
      parameters: [id],
      post: {
        summary: 'Change several areas of a site as one',
        requestBody: body(SaveSiteMapSchema),
        responses: { 200: answer('the areas'), ...errors(400, 404, 409) },
      },
    },
    '/api/organizations/{organization}/sites/{id}/copy': {
      parameters: [id],
      post: {
        summary: 'The site again under another name',
        requestBody: body(CopySiteSchema),
        responses: { 200: answer('the copy'), ...errors(400, 404) },
      },
    },
    '/api/organizations/{organization}/sites/{id}/export': {
      parameters: [id],
      get: {
        summary: 'Its areas as GeoJSON, KML, GPX or CSV',
        parameters: asked('format'),
        responses: { 200: answer('a file'), ...errors(400, 404, 422) },
      },
    },
    '/api/organizations/{organization}/attachments/{id}': {
      parameters: [id],
      get: { summary: 'A picture', responses: { 200: answer('its bytes'), ...errors(404) } },
      put: {
        summary: 'Keep a PNG or JPEG picture',
        requestBody: {
          required: true,
          content: { 'image/png': {}, 'image/jpeg': {}, 'application/pdf': {} },
        },
        responses: { 200: answer('kept'), ...errors(400, 409, 413) },
      },
    },
    '/api/organizations/{organization}/equipment/{id}/calibrations': {
      parameters: [id],
      get: {
        summary: 'Its calibrations as CSV or JSON',
        parameters: asked('format'),
        responses: { 200: answer('a file'), ...errors(400, 404) },
      },
      post: {
        summary: 'Take calibrations in, all or none; those already stored stay',
        requestBody: body(ImportCalibrationsSchema),
        responses: { 200: answer('how many were added and kept'), ...errors(400, 404) },
      },
    },
    '/api/devices': {
      get: { summary: 'Instruments that can be read', responses: { 200: answer('instruments') } },
    },
    '/api/devices/{device}/lines': {
      parameters: [{ name: 'device', in: 'path', required: true, schema: { type: 'string' } }],
      get: {
        summary: 'An instrument’s readings as lines of text',
        parameters: asked('seed', 'acts', 'cable'),
        responses: { 200: answer('lines (docs/device-lines.md)'), ...errors(400, 404) },
      },
    },
    '/api/organizations/{organization}/equipment/held': {
      get: { summary: 'What each machine was last filled with', responses: { 200: answer('by machine') } },
    },
    '/api/organizations/{organization}/equipment/{id}/outcomes': {
      parameters: [id],
      get: {
        summary: 'What the last records of a machine came to against their plans',
        responses: { 200: answer('outcomes'), ...errors(404) },
      },
    },
    '/api/organizations/{organization}/names': {
      get: { summary: 'Names a job can be given to', responses: { 200: answer('names') } },
    },
    ...seasonPaths({ body, answer, errors, id }),
    '/api/organizations/{organization}/areas/{id}/sizes': {
      parameters: [id],
      get: { summary: 'Sizes an area has had', responses: { 200: answer('sizes'), ...errors(404) } },
    },
    '/api/organizations/{organization}/products/file': {
      get: {
        summary: 'Every product as CSV or JSON',
        parameters: asked('format'),
        responses: { 200: answer('a file'), ...errors(400) },
      },
      post: {
        summary: 'Take products in, all or none; those already stored stay',
        requestBody: body(ImportProductsSchema),
        responses: { 200: answer('how many were added and kept'), ...errors(400) },
      },
    },
    '/api/organizations/{organization}/products/{id}/stock': {
      parameters: [id],
      get: {
        summary: 'Stock on hand and its movements',
        responses: { 200: answer('stock'), ...errors(404) },
      },
      post: {
        summary: 'Book a delivery, a count or a disposal',
        requestBody: body(NewMovementSchema),
        responses: { 200: answer('stock'), ...errors(400, 404) },
      },
    },
    '/api/organizations/{organization}/products/{id}/planned': {
      parameters: [id],
      get: {
        summary: 'What planned jobs are going to use of it',
        responses: { 200: answer('mass and volume apart'), ...errors(404) },
      },
    },
    '/api/organizations/{organization}/today': {
      get: { summary: 'What the crew faces this morning', responses: { 200: answer('today') } },
    },
    '/api/organizations/{organization}/find': {
      get: {
        summary: 'Everything whose words begin so',
        parameters: asked('q'),
        responses: { 200: answer('a few of each kind') },
      },
    },
    '/api/organizations/{organization}/jobs': {
      get: {
        summary: 'Jobs, latest day first',
        parameters: asked('q', 'state', 'siteId', 'after'),
        responses: { 200: answer('jobs'), ...errors(400) },
      },
    },
    '/api/organizations/{organization}/jobs/{id}': {
      parameters: [id],
      get: { summary: 'One job as entered', responses: { 200: answer('the job'), ...errors(404) } },
      put: {
        summary: 'Save a job; 409 carries the row that is stored',
        requestBody: body(SaveJobSchema),
        responses: { 200: answer('saved'), ...errors(400, 409, 422) },
      },
      delete: {
        summary: 'Delete a job that was not started',
        requestBody: body(RemoveSchema),
        responses: { 200: answer('deleted'), ...errors(404, 409) },
      },
    },
    '/api/organizations/{organization}/jobs/{id}/file': {
      parameters: [id],
      get: {
        summary: 'One job as a JSON file, as entered and as worked out',
        responses: { 200: answer('the file', JobFileSchema), ...errors(404) },
      },
    },
    '/api/organizations/{organization}/days/{day}': {
      parameters: [{ name: 'day', in: 'path', required: true, schema: { type: 'string', format: 'date' } }],
      get: { summary: 'Jobs of a day in driving order', responses: { 200: answer('jobs'), ...errors(404) } },
      put: {
        summary: 'Put a day in driving order',
        requestBody: body(SaveDaySchema),
        responses: { 200: answer('jobs'), ...errors(400, 404, 409) },
      },
    },
    '/api/organizations/{organization}/jobs/{id}/restore': {
      parameters: [id],
      post: { summary: 'Bring a deleted job back', responses: { 200: answer('the job'), ...errors(404) } },
    },
    '/api/organizations/{organization}/applications/{id}/events': {
      parameters: [id],
      get: {
        summary: 'The run of an application',
        responses: { 200: answer('events and record'), ...errors(404) },
      },
      post: {
        summary: 'Append events of a run; repeats are stored once',
        requestBody: body(NewRunEventsSchema),
        responses: { 200: answer('events and record'), ...errors(400, 404, 409, 422) },
      },
    },
    ...recordPaths({ body, answer, errors, id }),
  },
})

/** The public routes that compute beside the plan. */
function computePaths(): Readonly<Record<string, object>> {
  const path = (summary: string, request: GenericSchema, response: GenericSchema) => ({
    post: {
      summary: `${summary}; computes only, saves nothing`,
      requestBody: body(request),
      responses: { 200: answer('the figures with their working', response), ...errors(400, 413, 422) },
    },
  })
  return {
    '/api/measure': path('Measure ground from figures', MeasureRequestSchema, MeasureAnswerSchema),
    '/api/calibrate': path('Work out a calibration', CalibrateRequestSchema, CalibrateAnswerSchema),
    '/api/read-label': path('Read printed directions', ReadLabelRequestSchema, ReadLabelAnswerSchema),
    '/api/pattern': path('Look at a tray test', PatternRequestSchema, PatternAnswerSchema),
    '/api/season': path(
      'Soil, heat units, windows, disease indices and coverage of one place',
      SeasonRequestSchema,
      SeasonAnswerSchema,
    ),
    '/api/lanes': path('Lanes over a lawn, in walking order', LanesRequestSchema, LanesAnswerSchema),
    '/api/coverage': path(
      'What the ground gets from lanes and a pattern',
      CoverageRequestSchema,
      CoverageAnswerSchema,
    ),
    '/api/curve': path('Ask a spreader’s setting curve', CurveRequestSchema, CurveAnswerSchema),
    '/api/nozzles': path('Check nozzles and solve a boom', NozzlesRequestSchema, NozzlesAnswerSchema),
  }
}

/** The routes every room has. */
function roomPaths(room: LibraryKind): readonly (readonly [string, object])[] {
  const { schema, what } = LIBRARY[room]
  return [
    [
      `/api/organizations/{organization}/library/${room}`,
      { get: { summary: `Every ${what}`, responses: { 200: answer('rows') } } },
    ],
    [
      `/api/organizations/{organization}/library/${room}/{id}`,
      {
        parameters: [id],
        get: { summary: `One ${what}`, responses: { 200: answer(what), ...errors(404) } },
        put: {
          summary: `Save a ${what}; 409 carries the row that is stored`,
          requestBody: body(schema),
          responses: { 200: answer('saved'), ...errors(400, 404, 409) },
        },
        delete: {
          summary: `Delete a ${what}`,
          requestBody: body(RemoveSchema),
          responses: { 200: answer('deleted'), ...errors(404, 409) },
        },
      },
    ],
    [
      `/api/organizations/{organization}/library/${room}/{id}/restore`,
      {
        parameters: [id],
        post: { summary: `Bring a deleted ${what} back`, responses: { 200: answer(what), ...errors(404) } },
      },
    ],
  ]
}
