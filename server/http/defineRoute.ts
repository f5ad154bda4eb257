import { Readable } from 'node:stream'
import {
  defineEventHandler,
  getQuery,
  sendStream,
  setResponseHeaders,
  setResponseStatus,
  type EventHandler,
  type H3Event,
} from 'h3'
import type * as v from 'valibot'
import type { Deed } from '#core/people/roles'
import type { Organization } from '#shared/schemas/organization'
import type { Repositories } from '../repositories/forOrganization'
import { todayFor } from '../services/clock'
import { refuseDeed } from './access'
import { failure } from './failure'
import { readBodyAs, readId, typedAs } from './readBody'
import { organizationOf, repositoriesOf } from './repositoriesOf'

type Schema = v.GenericSchema
type Answered = Schema | readonly string[] | { readonly json: object }
type Method = 'GET' | 'PUT' | 'POST' | 'DELETE'
type Status = 400 | 401 | 403 | 404 | 409 | 413 | 415 | 422 | 429 | 503

/** One address of the API: what it says of itself, and what answers there. */
export interface Route {
  readonly method: Method
  /** With a colon before what varies: `/api/calendar/:secret`. */
  readonly path: string
  readonly summary: string
  /** What asking there does with a crew; absent: it is no crew's address. */
  readonly deed?: Deed
  /** Open to any program; needs no crew and no database. */
  readonly computes?: 'computes'
  readonly query?: v.ObjectSchema<v.ObjectEntries, undefined>
  readonly body?: Schema | readonly string[]
  /** Where the handler's type does not tell it: JSON by its schema, or the media types a file may have. */
  readonly answer?: Answered
  readonly status: 200 | 201
  readonly fails: readonly Status[]
  readonly handler: EventHandler
}

/** What a request brings, read and checked. */
export interface Asked<Body, Query> {
  readonly event: H3Event
  /** The id in the address. */
  readonly id: string
  readonly body: Body
  readonly query: Query
}
export interface AskedOfCrew<Body, Query> extends Asked<Body, Query> {
  readonly organization: Organization
  readonly repositories: Repositories
  /** The crew's own day, YYYY-MM-DD. */
  readonly today: string
}

/** How a route is declared; its path begins with its method. */
interface Declared<Body extends Schema, Query extends v.ObjectEntries> {
  readonly path: `${Method} /${string}`
  readonly summary: string
  readonly computes?: 'computes'
  readonly query?: v.ObjectSchema<Query, undefined>
  readonly body?: Body
  /** What is sent as bytes: the media types it may have. */
  readonly takes?: readonly string[]
  readonly answer?: Answered
  readonly status?: 200 | 201
  /** What it may fail with besides what its body, query and id bring. */
  readonly fails?: readonly Status[]
}
type Handle<Given, Answer> = (asked: Given) => Answer | Promise<Answer>

/** An address above the crews. */
export function defineRoute<
  Body extends Schema = v.UndefinedSchema<undefined>,
  Query extends v.ObjectEntries = Record<never, never>,
>(
  declared: Declared<Body, Query> & {
    readonly handle: Handle<
      Asked<v.InferOutput<Body>, v.InferOutput<v.ObjectSchema<Query, undefined>>>,
      unknown
    >
  },
): Route {
  return routeOf(declared, async (event) => declared.handle(await askedOf(event, declared)))
}

/**
 * An address below a crew, with the crew's own name left out of its path. Looking needs no more than a place
 * in the crew, deleting an owner; all else is work, unless it is declared otherwise.
 */
export function defineCrewRoute<
  Body extends Schema = v.UndefinedSchema<undefined>,
  Query extends v.ObjectEntries = Record<never, never>,
>(
  declared: Declared<Body, Query> & {
    readonly deed?: Deed
    readonly handle: Handle<
      AskedOfCrew<v.InferOutput<Body>, v.InferOutput<v.ObjectSchema<Query, undefined>>>,
      unknown
    >
  },
): Route {
  const [method] = declared.path.split(' ') as [Method]
  const deed = declared.deed ?? USUAL_DEEDS[method]
  const path = declared.path.replace(' ', ' /api/organizations/:organization') as typeof declared.path
  return {
    ...routeOf({ ...declared, path }, async (event) => {
      const { role } = event.context
      if (role) refuseDeed(role, deed)
      const organization = organizationOf(event)
      return declared.handle({
        ...(await askedOf(event, declared)),
        organization,
        repositories: repositoriesOf(event),
        today: todayFor(organization),
      })
    }),
    deed,
  }
}

const USUAL_DEEDS: Readonly<Record<Method, Deed>> = {
  GET: 'look',
  PUT: 'work',
  POST: 'work',
  DELETE: 'govern',
}

function routeOf<Body extends Schema, Query extends v.ObjectEntries>(
  {
    path: declared,
    summary,
    computes,
    query,
    body,
    takes,
    answer,
    status = 200,
    fails = [],
  }: Declared<Body, Query>,
  answered: (event: H3Event) => Promise<unknown>,
): Route {
  const [method, path] = declared.split(' ') as [Method, string]
  const asked: Status[] = [
    ...(query || body || takes ? ([400] as const) : []),
    ...(path.endsWith(':id') || path.includes(':id/') ? ([404] as const) : []),
  ]
  return {
    method,
    path,
    summary,
    computes,
    query: query as Route['query'],
    body: body ?? takes,
    answer,
    status,
    fails: [...new Set([...asked, ...fails])].sort(),
    handler: defineEventHandler(async (event) => {
      const result = await answered(event)
      if (status !== 200) setResponseStatus(event, status)
      return result
    }),
  }
}

/** The id first: what does not exist is not read for. */
async function askedOf<Body extends Schema, Query extends v.ObjectEntries>(
  event: H3Event,
  { body, query }: Declared<Body, Query>,
): Promise<Asked<v.InferOutput<Body>, v.InferOutput<v.ObjectSchema<Query, undefined>>>> {
  return {
    event,
    id: event.context.params?.id === undefined ? '' : readId(event),
    query: (query ? typedAs(query, getQuery(event)) : {}) as v.InferOutput<v.ObjectSchema<Query, undefined>>,
    body: body && (await readBodyAs(event, body)),
  }
}

/** An answer that is saved as a file. */
export function asFile(event: H3Event, type: string, name: string): void {
  const plain = /^[\w.-]+$/.test(name)
  setResponseHeaders(event, {
    'content-type': type,
    'content-disposition': plain
      ? `attachment; filename="${name}"`
      : `attachment; filename*=UTF-8''${encodeURIComponent(name)}`,
  })
}

/** A file that is written while it is sent; one that breaks off must not look whole: its connection goes. */
export function asStream(event: H3Event, lines: AsyncIterable<string>): Promise<void> {
  const stream = Readable.from(lines)
  stream.once('error', () => event.node.res.destroy())
  return sendStream(event, stream)
}

/** What was looked for. Fails with `not-found`. */
export function found<Row>(row: Row | undefined | null, what: string): Row {
  if (row === undefined || row === null) throw failure('not-found', `There is no such ${what}.`)
  return row
}
