import { createStore, del, entries, get, update } from 'idb-keyval'
import type { FrozenPlan } from '#core/run/runEvent'
import type { NewRunEvent, Run } from '#shared/schemas/run'

/** An event as this device wrote it down, and how it stands with the server. */
export interface KeptEvent {
  readonly event: NewRunEvent
  readonly state: 'waiting' | 'refused'
  /** Why the server would not have it, in its words. */
  readonly why?: string
}

/** What this device keeps of one run until the server has it. */
export interface KeptRun {
  readonly organizationId: string
  readonly applicationId: string
  readonly jobId: string
  readonly site: string
  /** Who wrote it; it waits for that person. Blank where nobody signs in. */
  readonly personId: string
  readonly deviceId: string
  /** The next place in this device's sequence, and the highest counter it has seen. */
  readonly sequence: number
  readonly counter: number
  /** The plan as it was frozen here, where the run began without a network. */
  readonly frozen?: FrozenPlan
  readonly events: readonly KeptEvent[]
}

/** A picture that still has to be sent. */
export interface KeptPhoto {
  readonly organizationId: string
  readonly id: string
  readonly blob: Blob
  /** Why the server would not have it. */
  readonly why?: string
}

/** Apart from drafts and caches: nothing but a run's own end empties it. */
const runs = createStore('hectarum-runs', 'runs')
const photos = createStore('hectarum-photos', 'photos')

const runKey = (organizationId: string, applicationId: string) => `${organizationId}:${applicationId}`

export const keptRun = (organizationId: string, applicationId: string): Promise<KeptRun | undefined> =>
  get<KeptRun>(runKey(organizationId, applicationId), runs)

/** Every run with something on this device, of all crews. */
export const allKeptRuns = async (): Promise<readonly KeptRun[]> =>
  (await entries<string, KeptRun>(runs)).map(([, run]) => run)

/**
 * Changes what is kept of a run in one step, so that two open pages never take one place in the sequence.
 * @returns what is kept from now on
 */
export async function changeKeptRun(
  organizationId: string,
  applicationId: string,
  change: (kept: KeptRun | undefined) => KeptRun,
): Promise<KeptRun> {
  let changed: KeptRun | undefined
  await update<KeptRun>(
    runKey(organizationId, applicationId),
    (kept) => {
      changed = change(kept)
      return changed
    },
    runs,
  )
  if (!changed) throw new Error('what is kept of a run was not changed')
  return changed
}

export const keepPhoto = (photo: KeptPhoto): Promise<void> => update<KeptPhoto>(photo.id, () => photo, photos)
export const dropPhoto = (id: string): Promise<void> => del(id, photos)
export const allKeptPhotos = async (): Promise<readonly KeptPhoto[]> =>
  (await entries<string, KeptPhoto>(photos)).map(([, photo]) => photo)

/**
 * The run as it stands here: what the server was last seen to have, and what waits beside it. A plan that was
 * frozen here stands in for the server's until that has come.
 */
export function eventsHere(known: Run | undefined, kept: KeptRun | undefined): Run['events'] {
  const sent = new Set(known?.events.map(({ id }) => id))
  const waiting = (kept?.events ?? []).flatMap(({ event, state }): Run['events'] => {
    if (state === 'refused' || sent.has(event.id)) return []
    if (event.kind === 'planned')
      return kept?.frozen ? [{ ...event, payload: { ...kept.frozen, ...event.payload } }] : []
    if (event.kind === 'started' || event.kind === 'countersigned') return [{ ...event, payload: {} }]
    return [event as Run['events'][number]]
  })
  return [...(known?.events ?? []), ...waiting]
}
