import { toJsonSchema } from '@valibot/to-json-schema'
import type { GenericSchema } from 'valibot'
import { SaveJobSchema } from '#shared/schemas/job'
import { ChooseOrganizationSchema, NewOrganizationSchema } from '#shared/schemas/organization'
import { PlanRequestSchema } from '#shared/schemas/plan'
import { ErrorSchema, HealthSchema, PlanResponseSchema } from '#shared/schemas/planResponse'
import { NewRunEventsSchema } from '#shared/schemas/run'

const json = (schema: GenericSchema) => {
  const { $schema: _, ...plain } = toJsonSchema(schema, { errorMode: 'ignore' })
  return { content: { 'application/json': { schema: plain } } }
}
const answer = (description: string, schema?: GenericSchema) => ({ description, ...(schema && json(schema)) })
const errors = (...statuses: readonly number[]) => Object.fromEntries(statuses.map((status) => [status, answer('the one error form', ErrorSchema)]))
const id = { name: 'id', in: 'path', required: true, schema: { type: 'string', format: 'uuid' } }
const body = (schema: GenericSchema) => ({ required: true, ...json(schema) })

/** The API's description, made from the same schemas that check the requests. */
export const openApiDocument = (version: string) => ({
  openapi: '3.1.0',
  info: { title: 'Hectarum', version, description: 'Health and plan are the public contract; the other routes serve the application.' },
  paths: {
    '/api/health': { get: { summary: 'Is the server up and its database ready', responses: { 200: answer('ready', HealthSchema), 503: answer('not ready', HealthSchema) } } },
    '/api/plan': {
      post: {
        summary: 'Plan one application; computes only, saves nothing', requestBody: body(PlanRequestSchema),
        responses: { 200: answer('the plan', PlanResponseSchema), ...errors(400, 413, 422) },
      },
    },
    '/api/openapi.json': { get: { summary: 'This document', responses: { 200: answer('OpenAPI 3.1') } } },
    '/api/organizations': {
      get: { summary: 'The organization in hand and the others', responses: { 200: answer('organizations') } },
      post: { summary: 'Start a crew of one’s own', requestBody: body(NewOrganizationSchema), responses: { 201: answer('made and chosen'), ...errors(400, 403, 415) } },
    },
    '/api/organizations/current': { put: { summary: 'Change to another organization', requestBody: body(ChooseOrganizationSchema), responses: { 200: answer('changed'), ...errors(400, 404) } } },
    '/api/jobs': { get: { summary: 'Jobs, latest day first', responses: { 200: answer('jobs') } } },
    '/api/jobs/{id}': {
      parameters: [id],
      get: { summary: 'One job as entered', responses: { 200: answer('the job'), ...errors(404) } },
      put: { summary: 'Save a job; 409 carries the row that is stored', requestBody: body(SaveJobSchema), responses: { 200: answer('saved'), ...errors(400, 409, 422) } },
    },
    '/api/jobs/{id}/events': {
      parameters: [id],
      get: { summary: 'The run of a job', responses: { 200: answer('events and record'), ...errors(404) } },
      post: { summary: 'Append events of a run; repeats are stored once', requestBody: body(NewRunEventsSchema), responses: { 200: answer('events and record'), ...errors(400, 404, 409, 422) } },
    },
    '/api/records': { get: { summary: 'A page of records, newest first', responses: { 200: answer('records') } } },
    '/api/records/{id}': { parameters: [id], get: { summary: 'One record with its events', responses: { 200: answer('record'), ...errors(404) } } },
  },
})
