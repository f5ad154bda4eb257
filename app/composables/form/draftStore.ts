import { del, get, set } from 'idb-keyval'

/** Where something not yet saved is kept on this device; one crew's drafts never show in another's. */
export const draftKey = (organizationId: string | undefined, id: string): string =>
  `draft:${organizationId ?? ''}:${id}`

export const keepDraft = (key: string, draft: object): Promise<void> => set(key, draft)
export const keptDraft = <D>(key: string): Promise<D | undefined> => get<D>(key)
export const dropDraft = (key: string): Promise<void> => del(key)
