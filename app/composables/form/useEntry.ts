import { v7 as uuid } from 'uuid'
import type { LibraryKind } from '#shared/schemas/library'
import type { SaveState } from './useDraft'

interface Row {
  readonly id: string
  readonly version: number
}

const WHAT: Readonly<Record<LibraryKind, string>> = {
  sites: 'site',
  areas: 'area',
  equipment: 'piece of equipment',
  calibrations: 'calibration',
  benchTests: 'test',
  products: 'product',
  stations: 'station',
  probes: 'reading',
  programs: 'program',
  areaPrograms: 'applied program',
}

/** What the page of a row goes by, whatever its kind. */
export interface EntryInHand {
  readonly id: string
  readonly draft: Readonly<Ref<{ readonly version: number; readonly name?: string } | undefined>>
  readonly saveState: Readonly<Ref<SaveState>>
  readonly loadProblem: Readonly<Ref<string | undefined>>
  readonly keepMine: () => void
  readonly takeTheirs: () => void
  readonly remove: (then: string, back: string) => void
}

/** What the page of a row, and its head, say around it. */
export interface EntryWords {
  readonly what: string
  /** What a row is called that has no name of its own. */
  readonly title?: string
  readonly placeholder?: string
  readonly back: string
  readonly backTo: string
}

/** One row of a kind: loaded, saved as it is typed, deleted so that it can be brought back. */
export function useEntry<Stored extends Row, Draft extends { readonly version: number }>(
  kind: LibraryKind,
  id: string,
  draftOf: (stored: Stored) => Draft,
) {
  const url = crewUrl(`/library/${kind}/${id}`)
  const row = useDraft<Stored, Draft>({ id, url, what: WHAT[kind], draftOf })
  const notice = useNotice()

  /**
   * Deletes the row and offers to bring it back.
   * @param then where to go
   * @param back where it is found again
   */
  async function remove(then: string, back: string) {
    const version = row.stored.value?.version
    await row.forget()
    if (version !== undefined) {
      try {
        const current = row.stored.value?.version ?? version
        await tell('DELETE', url, { version: current })
      } catch (error) {
        notice.say('Not deleted.', errorText(error))
        return
      }
    }
    await navigateTo(then)
    if (version === undefined) return
    notice.say(`The ${WHAT[kind]} is deleted.`, undefined, {
      label: 'Undo',
      act: async () => {
        await tell('POST', `${url}/restore`)
        await navigateTo(back)
      },
    })
  }
  return { ...row, id, remove }
}

/** Begins a row on this device; it reaches the server with its name. */
export function useNewRow() {
  const crew = useCrewStore()
  return async (draft: object, path: (id: string) => string) => {
    const id = uuid()
    await keepDraft(draftKey(crew.organization?.id, id), { version: 0, ...draft })
    await navigateTo(path(id))
  }
}
