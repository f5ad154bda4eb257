/** A small client of the API with a cookie jar, as another browser would be. */
export interface Answer {
  readonly status: number
  readonly body: unknown
  readonly headers: Headers
}

export function clientOf(url: string) {
  let cookie = ''
  async function request(
    method: string,
    path: string,
    body?: unknown,
    headers: Record<string, string> = {},
  ): Promise<Answer> {
    const answer = await fetch(url + path, {
      method,
      headers: {
        ...(body === undefined ? {} : { 'content-type': 'application/json' }),
        ...(cookie && { cookie }),
        ...headers,
      },
      ...(body === undefined ? {} : { body: typeof body === 'string' ? body : JSON.stringify(body) }),
    })
    const set = answer.headers.get('set-cookie')
    if (set) cookie = set.split(';')[0] ?? ''
    const text = await answer.text()
    return {
      status: answer.status,
      body: text === '' ? undefined : JSON.parse(text),
      headers: answer.headers,
    }
  }
  return {
    get: (path: string, headers?: Record<string, string>) => request('GET', path, undefined, headers),
    post: (path: string, body: unknown, headers?: Record<string, string>) =>
      request('POST', path, body, headers),
    put: (path: string, body: unknown, headers?: Record<string, string>) =>
      request('PUT', path, body, headers),
    delete: (path: string, body: unknown) => request('DELETE', path, body),
  }
}
export type Client = ReturnType<typeof clientOf>
