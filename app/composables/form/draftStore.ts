import { del, get, set } from 'idb-keyval'

/** Where something not yet saved is kept on this device; one crew's drafts never show in another's. */
export const draftKey = (organizationId: string | undefined, id: string): string =>
  `draft:${organizationId ?? ''}:${id}`

export const keepDraft = (key: string, draft: object): Promise<void> => set(key, draft)

/** What lies on this device; a page that was torn away mid-word left its last words in quick storage. */
export async function keptDraft<D>(key: string): Promise<D | undefined> {
  const last = localStorage.getItem(key)
  if (last === null) return get<D>(key)
  const draft = JSON.parse(last) as D & object
  await set(key, draft)
  localStorage.removeItem(key)
  return draft
}

/** Kept at once, for a page that is going away: the larger store may not finish in time. */
export function keepDraftNow(key: string, draft: object): void {
  try {
    localStorage.setItem(key, JSON.stringify(draft))
  } catch {
    // Full: what the larger store has written by now is what is left.
  }
}
export async function dropDraft(key: string): Promise<void> {
  localStorage.removeItem(key)
  await Promise.all([del(key), del(`${key}:base`)])
}

/** What the row was when it was read, so that another's change can be told from one's own. */
export const keepBase = (key: string, base: object): Promise<void> => set(`${key}:base`, base)
export const keptBase = <D>(key: string): Promise<D | undefined> => get<D>(`${key}:base`)
