import { sumOf } from '../quantity/counting'
import type { CombinedOutlines, CombineError } from './combineOutlines'
import type { Crossing } from './crossings'
import { lapsed } from './fieldNotes'
import type { FieldNotes } from './areaShape'
import type { Ring } from './plane'
import type { Result } from '../result'

/** Outlines added and taken away that are too many to be worked out between two frames of a screen. */
export interface LargeGround {
  readonly added: readonly Ring[]
  readonly taken: readonly Ring[]
}

/** What takes its time about them: where each crosses itself, and where none does, what they come to. */
export interface WorkedGround {
  readonly crossings: readonly (readonly Crossing[])[]
  readonly combined: Result<CombinedOutlines, CombineError> | undefined
}

/** Up to so many corners cutting takes some milliseconds. */
const FEW_CORNERS = 1000

/** The outlines of field notes, when they are large. @param day YYYY-MM-DD: dated exclusions lapse */
export function largeGround({ parts }: FieldNotes, day: string): LargeGround | undefined {
  const rings = (sign: 'add' | 'subtract') =>
    parts.flatMap((part): Ring[] =>
      part.shape === 'outline' && part.sign === sign && part.outline && !lapsed(part, day)
        ? [part.outline.points]
        : [],
    )
  const ground = { added: rings('add'), taken: rings('subtract') }
  return sumOf([...ground.added, ...ground.taken], ({ length }) => length) > FEW_CORNERS ? ground : undefined
}

const workedOut = new WeakSet<Ring>()

export const isWorkedOut = ({ added, taken }: LargeGround): boolean =>
  [...added, ...taken].every((ring) => workedOut.has(ring))

export const noteWorkedOut = ({ added, taken }: LargeGround): void => {
  for (const ring of [...added, ...taken]) workedOut.add(ring)
}

let elsewhere: ((ground: LargeGround) => void) | undefined

/**
 * Has large ground worked out by somebody else from now on: a page gives its worker here. Ground that is
 * still being worked out reads as not known yet.
 */
export function workOutElsewhere(ask: (ground: LargeGround) => void): void {
  elsewhere = ask
}

/** Whether ground has to be waited for; asks for it when it does. */
export function isAwaited(notes: FieldNotes, day: string): boolean {
  if (!elsewhere) return false
  const ground = largeGround(notes, day)
  if (!ground || isWorkedOut(ground)) return false
  elsewhere(ground)
  return true
}
