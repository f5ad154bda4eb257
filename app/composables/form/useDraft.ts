import { useEventListener } from '@vueuse/core'
import { sameContent } from '#core/sameContent'
import { isAway, useSenderStore } from '~/stores/sender'

/** How what is typed stands with the server. */
export type SaveState<Stored = unknown> =
  | { readonly kind: 'new' }
  | { readonly kind: 'saved' }
  | { readonly kind: 'changed' }
  | { readonly kind: 'saving' }
  /** Kept on this device: until it is changed, where it was refused; or until the server is reached. */
  | { readonly kind: 'kept'; readonly why: string; readonly until: 'changed' | 'reached' }
  /** Neither the server nor this device's store took it: it stands in this page alone. */
  | { readonly kind: 'unkept'; readonly why: string }
  | { readonly kind: 'conflict'; readonly theirs: Stored }

const SAVE_AFTER_MS = 500

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
  /** What is sent of it, where that is not the draft itself; or why it cannot be sent yet. */
  readonly bodyOf?: (draft: Draft) => object | string
  /** Reads what an earlier version of the application kept on this device. */
  readonly upgrade?: (kept: Draft) => Draft
}

/**
 * Loads a row, keeps every change on this device right behind its figures and on the server shortly after; a
 * change made elsewhere is shown, never overwritten.
 */
export function useDraft<Stored extends Versioned, Draft extends Versioned>({
  id,
  url,
  what,
  draftOf,
  isOpen = () => true,
  bodyOf = (draft) => draft,
  upgrade = (kept) => kept,
}: DraftOptions<Stored, Draft>) {
  const crew = useCrewStore()
  // As its address, of the crew it was opened in: another may be open by the time it is sent.
  const key = draftKey(crew.organization?.id, id)
  // Shallow: every change replaces what it touches, and the core reads plain objects far faster than proxies.
  const draft = shallowRef<Draft>()
  const stored = shallowRef<Stored>()
  const saveState = shallowRef<SaveState<Stored>>({ kind: 'new' })
  const loadProblem = ref<string>()
  const notice = useNotice()
  const sender = useSenderStore()
  let timer: ReturnType<typeof setTimeout> | undefined
  let keeping: ReturnType<typeof setTimeout> | undefined
  let inFlight: Promise<void> | undefined
  /** What the draft began as, and what was sent last: by these another's change is told from one's own. */
  let base: Draft | undefined
  let sentLast: Draft | undefined

  const sameButVersion = (a: Draft, b: Draft) => sameContent({ ...a, version: 0 }, { ...b, version: 0 })

  function beginWith(own: Draft) {
    base = own
    draft.value = own
  }

  /** Takes another's change of other fields in; where both changed one field, the choice is the person's. */
  function reconcile(theirs: Stored) {
    const own = draftOf(theirs)
    const echo = sentLast !== undefined && sameButVersion(sentLast, own)
    const from = echo ? own : base
    const mine = draft.value
    const merged =
      from && mine && isOpen(theirs)
        ? mergeChanges({ ...from, version: 0 }, { ...mine, version: 0 }, { ...own, version: 0 })
        : undefined
    if (!merged?.ok) {
      saveState.value = { kind: 'conflict', theirs }
      return
    }
    stored.value = theirs
    base = own
    void keepBase(key, { base: own })
    if (merged.theirs.length > 0)
      notice.say(
        `This ${what} was changed elsewhere too: both changes are in.`,
        merged.theirs.map(pathWords).join('; '),
      )
    saveState.value = { kind: 'changed' }
    change({ ...merged.value, version: theirs.version })
  }

  async function load() {
    const lying = await keptDraft<Draft>(key)
    const kept = lying && upgrade(lying)
    // A row begun on this device has not reached the server yet; its first save finds out if it has.
    if (kept?.version === 0) {
      beginWith(kept)
      return
    }
    const keptFrom = kept && (await keptBase<{ readonly base: Draft; readonly sent?: Draft }>(key))
    try {
      const found = await ask<Stored>({ url, query: {} })
      stored.value = found
      const current = kept && kept.version === found.version && isOpen(found) ? kept : draftOf(found)
      beginWith(draftOf(found))
      draft.value = current
      saveState.value = { kind: 'saved' }
      if (current === kept) change({} as Partial<Draft>)
      else if (kept && isOpen(found) && kept.version < found.version) {
        draft.value = kept
        base = keptFrom?.base
        sentLast = keptFrom?.sent
        reconcile(found)
      }
    } catch (error) {
      if (!kept)
        loadProblem.value = errorCode(error) === 'not-found' ? `There is no such ${what}.` : errorText(error)
      else draft.value = kept
      if (kept && errorCode(error) !== 'not-found')
        saveState.value = { kind: 'kept', why: errorText(error), until: 'reached' }
    }
  }

  /** Kept on this device behind the figures of a key; a page that goes away before keeps it itself. */
  function keepSoon() {
    keeping ??= setTimeout(() => {
      keeping = undefined
      // A store that is full is told of where it matters: when the server did not take it either.
      if (draft.value) keepDraft(key, draft.value).catch(() => undefined)
    })
  }

  /** Said only once the device's own store has taken it: a full one takes nothing. */
  async function sayKept(why: string, until: 'changed' | 'reached') {
    const asked = draft.value
    const saving = saveState.value
    try {
      if (asked) await keepDraft(key, asked)
      if (saveState.value === saving) saveState.value = { kind: 'kept', why, until }
    } catch {
      saveState.value = { kind: 'unkept', why }
    }
  }

  function dropKept(): Promise<void> {
    clearTimeout(keeping)
    keeping = undefined
    return dropDraft(key)
  }

  /** Takes a change of any field; figures follow at once, the server a moment later. */
  function change(fields: Partial<Draft>) {
    if (!draft.value) return
    draft.value = { ...draft.value, ...fields }
    keepSoon()
    if (saveState.value.kind === 'conflict') return
    if (saveState.value.kind === 'saved' && base) void keepBase(key, { base })
    saveState.value = { kind: 'changed' }
    clearTimeout(timer)
    timer = setTimeout(() => void save(), SAVE_AFTER_MS)
  }

  async function save(): Promise<void> {
    clearTimeout(timer)
    await inFlight
    if (!draft.value || saveState.value.kind === 'conflict') return
    const sent = draft.value
    const body = bodyOf(sent)
    if (typeof body === 'string') {
      await sayKept(body, 'changed')
      return
    }
    saveState.value = { kind: 'saving' }
    sentLast = sent
    if (base) void keepBase(key, { base, sent })
    inFlight = send(sent, body).finally(() => {
      inFlight = undefined
    })
    await inFlight
  }

  async function send(sent: Draft, body: object): Promise<void> {
    try {
      const saved = (await tell<Stored>('PUT', url, body as Record<string, unknown>)) as Stored
      sender.settled(key)
      stored.value = saved
      const untouched = draft.value === sent
      if (draft.value) draft.value = { ...draft.value, version: saved.version }
      base = draftOf(saved)
      if (untouched) {
        await dropKept()
        saveState.value = { kind: 'saved' }
      } else if (draft.value) {
        await keepBase(key, { base })
        await keepDraft(key, draft.value)
      }
    } catch (error) {
      const code = errorCode(error)
      if (code === 'changed-elsewhere' || code === 'locked') {
        reconcile(errorCurrent(error) as Stored)
        return
      }
      const away = isAway(error)
      if (away) sender.later(key, save)
      await sayKept(errorText(error), away ? 'reached' : 'changed')
    }
  }

  function keepMine() {
    if (saveState.value.kind !== 'conflict' || !draft.value) return
    const { theirs } = saveState.value
    const { version } = theirs
    base = draftOf(theirs)
    saveState.value = { kind: 'changed' }
    change({ version } as Partial<Draft>)
  }

  async function takeTheirs() {
    if (saveState.value.kind !== 'conflict') return
    const { theirs } = saveState.value
    // Forgotten first: what is shown as settled must not come back with a reload.
    await dropKept()
    stored.value = theirs
    beginWith(draftOf(theirs))
    saveState.value = { kind: 'saved' }
  }

  /** Forgets what was typed here and goes nowhere near the server: for a row that is being deleted. */
  async function forget() {
    clearTimeout(timer)
    sender.settled(key)
    await inFlight
    saveState.value = { kind: 'saved' }
    await dropKept()
  }

  // A page that goes away does not wait for the larger store.
  useEventListener(window, 'pagehide', () => {
    const { kind } = saveState.value
    if (draft.value && kind !== 'saved' && kind !== 'new') keepDraftNow(key, draft.value)
  })
  onScopeDispose(() => {
    if (saveState.value.kind === 'changed') void save()
  })
  return { draft, stored, saveState, loadProblem, load, change, save, keepMine, takeTheirs, forget }
}
