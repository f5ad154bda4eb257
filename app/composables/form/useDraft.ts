/** How what is typed stands with the server. */
export type SaveState<Stored = unknown> =
  | { readonly kind: 'new' }
  | { readonly kind: 'saved' }
  | { readonly kind: 'changed' }
  | { readonly kind: 'saving' }
  | { readonly kind: 'kept'; readonly why: string }
  | { readonly kind: 'conflict'; readonly theirs: Stored }

const SAVE_AFTER_MS = 500
const RETRY_AFTER_MS = 4000

interface Versioned {
  readonly version: number
}

interface DraftOptions<Stored, Draft> {
  readonly id: string
  readonly url: string
  /** The word for it, for what is said when it isn't there. */
  readonly what: string
  /** What of a stored row is edited and saved again. */
  readonly draftOf: (stored: Stored) => Draft
  /** Whether a stored row may still be edited. */
  readonly isOpen?: (stored: Stored) => boolean
  /** Reads what an earlier version of the application kept on this device. */
  readonly upgrade?: (kept: Draft) => Draft
}

/**
 * Loads a row, keeps every change on this device at once and on the server shortly after; a change made
 * elsewhere is shown, never overwritten.
 */
export function useDraft<Stored extends Versioned, Draft extends Versioned>({
  id,
  url,
  what,
  draftOf,
  isOpen = () => true,
  upgrade = (kept) => kept,
}: DraftOptions<Stored, Draft>) {
  const crew = useCrewStore()
  const key = computed(() => draftKey(crew.organization?.id, id))
  // Shallow: every change replaces what it touches, and the core reads plain objects far faster than proxies.
  const draft = shallowRef<Draft>()
  const stored = shallowRef<Stored>()
  const saveState = shallowRef<SaveState<Stored>>({ kind: 'new' })
  const loadProblem = ref<string>()
  let timer: ReturnType<typeof setTimeout> | undefined
  let inFlight: Promise<void> | undefined

  async function load() {
    const lying = await keptDraft<Draft>(key.value)
    const kept = lying && upgrade(lying)
    // A row begun on this device has not reached the server yet; its first save finds out if it has.
    if (kept?.version === 0) {
      draft.value = kept
      return
    }
    try {
      const found = (await $fetch<Stored>(url)) as Stored
      stored.value = found
      const current = kept && kept.version === found.version && isOpen(found) ? kept : draftOf(found)
      draft.value = current
      saveState.value = { kind: 'saved' }
      if (current === kept) change({} as Partial<Draft>)
      else if (kept && isOpen(found) && kept.version < found.version) {
        draft.value = kept
        saveState.value = { kind: 'conflict', theirs: found }
      }
    } catch (error) {
      if (!kept)
        loadProblem.value = errorCode(error) === 'not-found' ? `There is no such ${what}.` : errorText(error)
      else draft.value = kept
      if (kept && errorCode(error) !== 'not-found') saveState.value = { kind: 'kept', why: errorText(error) }
    }
  }

  /** Takes a change of any field; figures follow at once, the server a moment later. */
  function change(fields: Partial<Draft>) {
    if (!draft.value) return
    draft.value = { ...draft.value, ...fields }
    void keepDraft(key.value, draft.value)
    if (saveState.value.kind === 'conflict') return
    saveState.value = { kind: 'changed' }
    clearTimeout(timer)
    timer = setTimeout(() => void save(), SAVE_AFTER_MS)
  }

  async function save(): Promise<void> {
    clearTimeout(timer)
    await inFlight
    if (!draft.value || saveState.value.kind === 'conflict') return
    const sent = draft.value
    saveState.value = { kind: 'saving' }
    inFlight = send(sent).finally(() => {
      inFlight = undefined
    })
    await inFlight
  }

  async function send(sent: Draft): Promise<void> {
    try {
      const saved = (await $fetch<Stored>(url, {
        method: 'PUT',
        body: sent as Record<string, unknown>,
      })) as Stored
      stored.value = saved
      const untouched = draft.value === sent
      if (draft.value) draft.value = { ...draft.value, version: saved.version }
      if (untouched) {
        await dropDraft(key.value)
        saveState.value = { kind: 'saved' }
      } else if (draft.value) await keepDraft(key.value, draft.value)
    } catch (error) {
      const code = errorCode(error)
      if (code === 'changed-elsewhere' || code === 'locked') {
        saveState.value = { kind: 'conflict', theirs: errorCurrent(error) as Stored }
        return
      }
      saveState.value = { kind: 'kept', why: errorText(error) }
      if (code === undefined || code === 'database-down' || code === 'starting')
        timer = setTimeout(() => void save(), RETRY_AFTER_MS)
    }
  }

  function keepMine() {
    if (saveState.value.kind !== 'conflict' || !draft.value) return
    const { version } = saveState.value.theirs
    saveState.value = { kind: 'changed' }
    change({ version } as Partial<Draft>)
  }

  async function takeTheirs() {
    if (saveState.value.kind !== 'conflict') return
    const { theirs } = saveState.value
    // Forgotten first: what is shown as settled must not come back with a reload.
    await dropDraft(key.value)
    stored.value = theirs
    draft.value = draftOf(theirs)
    saveState.value = { kind: 'saved' }
  }

  /** Forgets what was typed here and goes nowhere near the server: for a row that is being deleted. */
  async function forget() {
    clearTimeout(timer)
    await inFlight
    saveState.value = { kind: 'saved' }
    await dropDraft(key.value)
  }

  onScopeDispose(() => {
    if (saveState.value.kind === 'changed') void save()
  })
  return { draft, stored, saveState, loadProblem, load, change, save, keepMine, takeTheirs, forget }
}
