import { toJsonSchema } from '@valibot/to-json-schema'
import type { GenericSchema } from 'valibot'
import told from '#answers'
import { ErrorSchema } from '#shared/schemas/planResponse'
import type { Route } from './defineRoute'

/** The API's description, made from what its routes declare. */
export function openApiDocument(routes: readonly Route[], version: string) {
  const paths: Record<string, Record<string, object>> = {}
  for (const route of routes) {
    const path = route.path.replaceAll(/:(\w+)/g, '{$1}')
    paths[path] = { ...paths[path], [route.method.toLowerCase()]: operationOf(route) }
  }
  return {
    openapi: '3.1.0',
    info: {
      title: 'Hectarum',
      version,
      description: 'Health and plan are the public contract; the other routes serve the application.',
    },
    paths,
    components: {
      schemas: told.schemas,
      responses: { error: { description: 'the one error form', content: contentOf(ErrorSchema) } },
    },
  }
}

function operationOf({ method, path, summary, deed, query, body, answer, status, fails }: Route): object {
  const json = told.answers[`${method} ${path.replace(CREW, '')}`]
  const parameters = [
    ...[...path.matchAll(/:(\w+)/g)].map(([, name]) => ({
      name,
      in: 'path',
      required: true,
      schema: { type: 'string', ...(FORMATS[name ?? ''] && { format: FORMATS[name ?? ''] }) },
    })),
    ...Object.entries(query?.entries ?? {}).map(([name, schema]) => ({
      name,
      in: 'query',
      required: false,
      schema: schemaOf(schema as GenericSchema, 'input'),
    })),
  ]
  return {
    summary,
    // What asking here does with a crew: look, run, work or govern.
    ...(deed && { 'x-deed': deed }),
    ...(parameters.length > 0 && { parameters }),
    ...(body && { requestBody: { required: true, content: contentOf(body) } }),
    responses: {
      [status]: {
        description: summary,
        content: answer ? contentOf(answer) : { 'application/json': { schema: json } },
      },
      ...Object.fromEntries(fails.map((code) => [code, { $ref: '#/components/responses/error' }])),
    },
  }
}

const CREW = '/api/organizations/:organization'

/** What the parts of an address are. */
const FORMATS: Readonly<Record<string, string | undefined>> = {
  id: 'uuid',
  organization: 'uuid',
  day: 'date',
}

type Content = NonNullable<Route['answer']>

function contentOf(content: Content): object {
  if (isTypes(content)) return Object.fromEntries(content.map((type) => [type, {}]))
  return { 'application/json': { schema: 'json' in content ? content.json : schemaOf(content) } }
}

const isTypes = (content: Content): content is readonly string[] => Array.isArray(content)

/** In the words of OpenAPI 3.1; what is turned into something else on the way is told as it is sent. */
function schemaOf(schema: GenericSchema, typeMode: 'ignore' | 'input' = 'ignore'): object {
  const options = { errorMode: 'ignore', typeMode, target: 'draft-2020-12' } as const
  const { $schema: _, ...plain } = toJsonSchema(schema, options)
  return plain
}
