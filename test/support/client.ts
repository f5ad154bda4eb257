import type { OrganizationChoice } from '#shared/schemas/organization'
import { expectDescribed } from './conforms'

export interface Answer {
  readonly status: number
  readonly body: unknown
  readonly headers: Headers
}

/** What is no JSON is handed on as it is: files, calendars, lines. */
const isText = ({ headers }: Response): boolean =>
  !(headers.get('content-type') ?? 'application/json').startsWith('application/json')

/**
 * A small client of the API with a cookie jar, as another browser would be. What lies under /crew belongs to
 * the crew that is open in it.
 * @param told whether answers are held against the API's own description: what an earlier release froze is
 *   told in the form of that release
 */
export function clientOf(url: string, told: 'as described' | 'as frozen' = 'as described') {
  const cookies = new Map<string, string>()
  const openCrew = async () => {
    const { body } = await request('GET', '/api/organizations')
    return (body as OrganizationChoice).current.id
  }
  /** Where a path is found, what lies under /crew in the crew that is open. */
  async function address(path: string): Promise<string> {
    const rest = /^\/crew(\/.*)$/.exec(path)?.[1]
    return rest === undefined ? url + path : `${url}/api/organizations/${await openCrew()}${rest}`
  }
  async function request(
    method: string,
    path: string,
    body?: unknown,
    headers: Record<string, string> = {},
  ): Promise<Answer> {
    const answer = await fetch(await address(path), {
      method,
      headers: {
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
        ...(cookies.size > 0 && {
          cookie: [...cookies].map(([name, value]) => `${name}=${value}`).join('; '),
        }),
        ...headers,
      },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    })
    for (const set of answer.headers.getSetCookie()) {
      const [, name, value] = /^([^=]+)=([^;]*)/.exec(set) ?? []
      if (name && value !== undefined) cookies.set(name, value)
    }
    const text = await answer.text()
    const { status } = answer
    const read: unknown = text === '' ? undefined : isText(answer) ? text : JSON.parse(text)
    if (told === 'as described' && answer.ok && !isText(answer))
      await expectDescribed(url, { method, path: new URL(answer.url).pathname, status, body: read })
    return { status, body: read, headers: answer.headers }
  }
  return {
    address,
    get: (path: string, headers?: Record<string, string>) => request('GET', path, undefined, headers),
    post: (path: string, body: unknown, headers?: Record<string, string>) =>
      request('POST', path, body, headers),
    put: (path: string, body: unknown, headers?: Record<string, string>) =>
      request('PUT', path, body, headers),
    delete: (path: string, body: unknown) => request('DELETE', path, body),
  }
}
export type Client = ReturnType<typeof clientOf>
