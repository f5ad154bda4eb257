import { combineOutlines, rememberCombined } from './combineOutlines'
import { crossings, rememberCrossings } from './crossings'
import { noteWorkedOut, type LargeGround, type WorkedGround } from './largeGround'

/** Works large ground out: on a thread or worker of its own, since this is what holds others up. */
export function workOutGround({ added, taken }: LargeGround): WorkedGround {
  const found = [...added, ...taken].map(crossings)
  const whole = added.length > 0 && found.every(({ length }) => length === 0)
  return { crossings: found, combined: whole ? combineOutlines(added, taken) : undefined }
}

/** Keeps what was worked out elsewhere, so that reading the same rings here costs nothing. */
export function rememberGround(ground: LargeGround, worked: WorkedGround): void {
  const { added, taken } = ground
  for (const [index, ring] of [...added, ...taken].entries())
    rememberCrossings(ring, worked.crossings[index] ?? [])
  if (worked.combined) rememberCombined(added, taken, worked.combined)
  noteWorkedOut(ground)
}
