import type { ApplicationDocument } from '#core/jobsheet/document'
import type { Job, SaveJob } from '#shared/schemas/job'

/** A job as it is being edited: what would be saved, and the version it was read at. */
export type JobDraft = SaveJob

export type SaveState
  = | { readonly kind: 'new' } | { readonly kind: 'saved' } | { readonly kind: 'changed' } | { readonly kind: 'saving' }
    | { readonly kind: 'kept', readonly why: string } | { readonly kind: 'conflict', readonly theirs: Job }

const SAVE_AFTER_MS = 500
const RETRY_AFTER_MS = 4000

/** Loads a job, keeps every change on this device at once and on the server shortly after. */
export function useJobDraft(id: string) {
  const crew = useCrewStore()
  const key = computed(() => draftKey(crew.organization?.id, id))
  // Shallow: every change replaces what it touches, and the core reads plain objects far faster than proxies.
  const draft = shallowRef<JobDraft>()
  const stored = shallowRef<Job>()
  const saveState = ref<SaveState>({ kind: 'new' })
  const loadProblem = ref<string>()
  let timer: ReturnType<typeof setTimeout> | undefined
  let inFlight: Promise<void> | undefined

  async function load() {
    const kept = await keptDraft(key.value)
    // A job begun on this device has not reached the server yet; its first save finds out if it has.
    if (kept?.version === 0) {
      draft.value = kept
      return
    }
    try {
      stored.value = await $fetch<Job>(`/api/jobs/${id}`)
      const current = kept && kept.version === stored.value.version && isOpen(stored.value) ? kept : draftOf(stored.value)
      draft.value = current
      saveState.value = { kind: 'saved' }
      if (current === kept) change({})
      else if (kept && isOpen(stored.value) && kept.version < stored.value.version) {
        draft.value = kept
        saveState.value = { kind: 'conflict', theirs: stored.value }
      }
    }
    catch (error) {
      if (!kept) loadProblem.value = errorCode(error) === 'not-found' ? 'There is no such job.' : errorText(error)
      else draft.value = kept
      if (kept && errorCode(error) !== 'not-found') saveState.value = { kind: 'kept', why: errorText(error) }
    }
  }

  /** Takes a change of any field; figures follow at once, the server a moment later. */
  function change(fields: Partial<JobDraft>) {
    if (!draft.value) return
    draft.value = { ...draft.value, ...fields }
    void keepDraft(key.value, draft.value)
    if (saveState.value.kind === 'conflict') return
    saveState.value = { kind: 'changed' }
    clearTimeout(timer)
    timer = setTimeout(() => void save(), SAVE_AFTER_MS)
  }

  const changeDocument = (document: ApplicationDocument) => draft.value && change({ application: { ...draft.value.application, document } })

  async function save(): Promise<void> {
    clearTimeout(timer)
    await inFlight
    if (!draft.value || saveState.value.kind === 'conflict') return
    const sent = draft.value
    saveState.value = { kind: 'saving' }
    inFlight = send(sent).finally(() => { inFlight = undefined })
    await inFlight
  }

  async function send(sent: JobDraft): Promise<void> {
    try {
      const saved = await $fetch<Job>(`/api/jobs/${id}`, { method: 'PUT', body: sent })
      stored.value = saved
      const untouched = draft.value === sent
      if (draft.value) draft.value = { ...draft.value, version: saved.version }
      if (untouched) {
        await dropDraft(key.value)
        saveState.value = { kind: 'saved' }
      }
      else if (draft.value) await keepDraft(key.value, draft.value)
    }
    catch (error) {
      if (errorCode(error) === 'changed-elsewhere' || errorCode(error) === 'locked') {
        saveState.value = { kind: 'conflict', theirs: errorCurrent(error) as Job }
        return
      }
      saveState.value = { kind: 'kept', why: errorText(error) }
      if (errorCode(error) === undefined || errorCode(error) === 'database-down' || errorCode(error) === 'starting') timer = setTimeout(() => void save(), RETRY_AFTER_MS)
    }
  }

  function keepMine() {
    if (saveState.value.kind !== 'conflict' || !draft.value) return
    const { version } = saveState.value.theirs
    saveState.value = { kind: 'changed' }
    change({ version })
  }

  async function takeTheirs() {
    if (saveState.value.kind !== 'conflict') return
    stored.value = saveState.value.theirs
    draft.value = draftOf(saveState.value.theirs)
    saveState.value = { kind: 'saved' }
    await dropDraft(key.value)
  }

  onScopeDispose(() => {
    if (saveState.value.kind === 'changed') void save()
  })
  return { draft, stored, saveState, loadProblem, load, change, changeDocument, save, keepMine, takeTheirs }
}

/** What of a stored job is edited and saved again. */
export const draftOf = ({ version, site, purpose, plannedFor, state, application }: Job): JobDraft =>
  ({ version, site, purpose, plannedFor, state: state === 'running' || state === 'done' ? 'planned' : state, application })

const isOpen = ({ state }: Job): boolean => state !== 'running' && state !== 'done'
