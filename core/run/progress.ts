import { ROUNDING } from '../quantity/tolerance'
import type {
  CheckedEntry,
  CoveredEntry,
  GateEntry,
  LightEntry,
  LookEntry,
  MeasuredEntry,
  MishapEntry,
  PhotoEntry,
  SettingEntry,
  SignedEntry,
  SpotEntry,
  StripEntry,
  TankEntry,
  WateredEntry,
} from './carriedShape'
import type { RunEvent } from './runEvent'

/** When and by whom something was written down. */
interface Stamped {
  readonly at: string
  readonly by?: string
}

/** What the events of a run come to, beside its plan and its outcome. */
export interface RunProgress {
  /** Every look at the gate, in order. */
  readonly gates: readonly (GateEntry & Stamped)[]
  /** Steps that are behind. */
  readonly steps: readonly string[]
  readonly measured: readonly MeasuredEntry[]
  readonly checked: readonly (CheckedEntry & Stamped)[]
  readonly covered: readonly (CoveredEntry & Stamped)[]
  /** Light passes over ground that lacked some, done or left; absent before version 0.14. */
  readonly light?: readonly (LightEntry & Stamped)[]
  /** The tank of a common mix as it was found; absent: nobody said, or it is no common mix. */
  readonly tank?: TankEntry
  /** Dial and pace as last set; absent: as planned. */
  readonly setting: SettingEntry
  readonly settings: readonly (SettingEntry & Stamped)[]
  readonly pauses: readonly { readonly from: string; readonly to?: string; readonly reason: string }[]
  readonly strips: readonly StripEntry[]
  /** Spots that were marked; absent before version 0.12. */
  readonly spots?: readonly SpotEntry[]
  readonly mishaps: readonly (MishapEntry & Stamped)[]
  readonly watered: readonly (WateredEntry & Stamped)[]
  readonly notes: readonly ({ readonly words: string } & Stamped)[]
  readonly photos: readonly (PhotoEntry & Stamped)[]
  readonly signed: readonly (SignedEntry & Stamped)[]
  readonly looks: readonly (LookEntry & Stamped)[]
}

export const NO_PROGRESS: RunProgress = {
  gates: [],
  steps: [],
  measured: [],
  checked: [],
  covered: [],
  setting: {},
  settings: [],
  pauses: [],
  strips: [],
  mishaps: [],
  watered: [],
  notes: [],
  photos: [],
  signed: [],
  looks: [],
}

/** What was noted of a record, as it is stored: one of before version 0.12 holds none. */
export const storedProgress = (record: { readonly progress?: RunProgress }): RunProgress =>
  record.progress ?? NO_PROGRESS

/**
 * What the events of one application come to. Each stands as it was written; of two entries for one place
 * (a step, a product of a load, a checkpoint, a strip) the later in order counts, whatever device it came
 * from.
 * @param ordered each once, by (counter, device, sequence)
 */
export function foldProgress(ordered: readonly RunEvent[]): RunProgress {
  return ordered.reduce(withEvent, NO_PROGRESS)
}

function withEvent(progress: RunProgress, event: RunEvent): RunProgress {
  const stamp: Stamped = { at: event.at, ...(event.person && { by: event.person.name }) }
  switch (event.kind) {
    case 'gate':
      return { ...progress, gates: [...progress.gates, { ...event.payload, ...stamp }] }
    case 'stepped': {
      const { step, done } = event.payload
      const others = progress.steps.filter((one) => one !== step)
      return { ...progress, steps: done === 'yes' ? [...others, step] : others }
    }
    case 'measured':
      return {
        ...progress,
        measured: replaced(
          progress.measured,
          event.payload,
          (a, b) => a.load === b.load && a.productId === b.productId,
        ),
      }
    case 'checked':
      return {
        ...progress,
        checked: replaced(progress.checked, { ...event.payload, ...stamp }, samePlace).toSorted(
          (a, b) => doneAt(a) - doneAt(b),
        ),
      }
    case 'light':
      return {
        ...progress,
        light: replaced(
          progress.light ?? [],
          { ...event.payload, ...stamp },
          (a, b) => Math.abs(a.from - b.from) <= ROUNDING,
        ),
      }
    case 'covered':
      return {
        ...progress,
        covered: replaced(
          progress.covered,
          { ...event.payload, ...stamp },
          (a, b) => a.load === b.load,
        ).toSorted((a, b) => a.load - b.load),
      }
    case 'tank':
      return { ...progress, tank: event.payload }
    case 'set':
      return {
        ...progress,
        setting: { ...progress.setting, ...event.payload },
        settings: [...progress.settings, { ...event.payload, ...stamp }],
      }
    case 'paused':
      return { ...progress, pauses: [...progress.pauses, { from: event.at, ...event.payload }] }
    case 'resumed':
      return { ...progress, pauses: resumed(progress.pauses, event.at) }
    case 'strip':
      return { ...progress, strips: replaced(progress.strips, event.payload, (a, b) => a.id === b.id) }
    case 'spot':
      return {
        ...progress,
        spots: replaced(progress.spots ?? [], event.payload, (a, b) => a.id === b.id),
      }
    case 'mishap':
      return { ...progress, mishaps: [...progress.mishaps, { ...event.payload, ...stamp }] }
    case 'watered':
      return { ...progress, watered: [...progress.watered, { ...event.payload, ...stamp }] }
    case 'noted':
      return { ...progress, notes: [...progress.notes, { ...event.payload, ...stamp }] }
    case 'photo':
      return { ...progress, photos: [...progress.photos, { ...event.payload, ...stamp }] }
    case 'signed':
      return { ...progress, signed: [...progress.signed, { ...event.payload, ...stamp }] }
    case 'looked':
      return { ...progress, looks: [...progress.looks, { ...event.payload, ...stamp }] }
    case 'planned':
    case 'started':
    case 'used':
    case 'finished':
    case 'corrected':
    case 'countersigned':
    case 'timed':
    case 'calibrates':
      return progress
    default:
      return event satisfies never
  }
}

/** Passes behind at a rest. */
export const doneAt = ({ pass, share }: Pick<CheckedEntry, 'pass' | 'share'>): number => pass - 1 + share

const samePlace = (a: CheckedEntry, b: CheckedEntry): boolean => Math.abs(doneAt(a) - doneAt(b)) <= ROUNDING

/** In the place of the one it replaces, else at the end. */
function replaced<T>(list: readonly T[], entry: T, same: (a: T, b: T) => boolean): readonly T[] {
  const at = list.findIndex((one) => same(one, entry))
  return at < 0 ? [...list, entry] : list.map((one, i) => (i === at ? entry : one))
}

/** The last pause that is still open ends; a second word of the same changes nothing. */
function resumed(pauses: RunProgress['pauses'], at: string): RunProgress['pauses'] {
  const last = pauses.length - 1
  return pauses.map((pause, i) => (i === last && pause.to === undefined ? { ...pause, to: at } : pause))
}

/** A run that rests now. */
export const isPaused = ({ pauses }: RunProgress): boolean => {
  const last = pauses.at(-1)
  return last !== undefined && last.to === undefined
}
