import Ajv2020, { type ValidateFunction } from 'ajv/dist/2020'
import addFormats from 'ajv-formats'
import { expect } from 'vitest'

interface Document {
  readonly paths: Readonly<
    Record<string, Readonly<Record<string, { readonly responses: Readonly<Record<string, object>> }>>>
  >
}

/** What a server says of itself: the same for every server of a test file. */
let told: Promise<ReturnType<typeof readerOf>> | undefined

function readerOf(document: Document) {
  const ajv = addFormats(new Ajv2020({ strict: false }))
  ajv.addSchema(document, 'api', false, false)
  const routes = Object.keys(document.paths).map((path) => ({
    path,
    // What is written out in full goes before what varies.
    pattern: new RegExp(`^${path.replaceAll(/\{\w+\}/g, '([^/]+)')}$`),
  }))
  const plainFirst = routes.toSorted((a, b) => a.path.split('{').length - b.path.split('{').length)
  const checks = new Map<string, ValidateFunction>()
  return (method: string, path: string, status: number): ValidateFunction | undefined => {
    const route = plainFirst.find(({ pattern }) => pattern.test(path))
    const own = route && document.paths[route.path]?.[method.toLowerCase()]?.responses[status]
    if (!route || !own || !('content' in own)) return undefined
    // A file that may be JSON is described where its format is.
    const json = (own.content as Readonly<Record<string, object>>)['application/json']
    if (!json || !('schema' in json)) return undefined
    const key = `${method} ${route.path} ${status}`
    const steps = [
      'paths',
      route.path,
      method.toLowerCase(),
      'responses',
      status,
      'content',
      'application/json',
    ]
    const pointer = [...steps, 'schema'].map((step) =>
      String(step).replaceAll('~', '~0').replaceAll('/', '~1'),
    )
    const check =
      checks.get(key) ?? ajv.compile({ $ref: `api#/${pointer.map(encodeURIComponent).join('/')}` })
    checks.set(key, check)
    return check
  }
}

/** What was answered is what the API's own description says is answered there. */
export async function expectDescribed(
  url: string,
  { method, path, status, body }: { method: string; path: string; status: number; body: unknown },
): Promise<void> {
  told ??= fetch(`${url}/api/openapi.json`)
    .then((answer) => answer.json())
    .then((document) => readerOf(document as Document))
  const check = (await told)(method, path.replace(/\?.*$/, ''), status)
  if (check && !check(body))
    expect.fail(`${method} ${path} answers what it does not say: ${JSON.stringify(check.errors?.slice(-3))}`)
}
