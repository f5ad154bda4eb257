import { del, get, set } from 'idb-keyval'
import type { JobDraft } from './useJobDraft'

/** Where a job not yet saved is kept on this device; one crew's drafts never show in another's. */
export const draftKey = (organizationId: string | undefined, jobId: string): string => `draft:${organizationId ?? ''}:${jobId}`

export const keepDraft = (key: string, draft: JobDraft): Promise<void> => set(key, draft)
export const keptDraft = (key: string): Promise<JobDraft | undefined> => get<JobDraft>(key)
export const dropDraft = (key: string): Promise<void> => del(key)
