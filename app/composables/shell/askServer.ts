import { useQueryCache } from '@pinia/colada'
import type { Question } from './questions'

/** Asks the server now; whoever shows the answer takes `useAnswer` instead. */
export const ask = <T>({ url, query }: Question<T>): Promise<T> =>
  ($fetch as (url: string, options: object) => Promise<T>)(url, { query })

/**
 * Tells the server something. What pages that are closed were shown before is forgotten with it: they ask
 * again.
 * @param path of the crew in hand, or one of everybody's, which begins with `/api/`
 */
export async function tell<T = unknown>(
  method: 'POST' | 'PUT' | 'DELETE',
  path: string,
  body: object = {},
  headers: Readonly<Record<string, string>> = {},
): Promise<T> {
  const url = path.startsWith('/api/') ? path : crewUrl(path)
  try {
    return await ($fetch as (url: string, options: object) => Promise<T>)(url, { method, body, headers })
  } finally {
    forgetAnswers()
  }
}

/** Drops the answers nobody looks at. */
export function forgetAnswers(): void {
  const answers = useQueryCache()
  for (const entry of answers.getEntries({ active: false })) answers.remove(entry)
}
