import type { MeasuredGround } from '../ground/readFieldNotes'
import type { Treated } from './applicationChoices'

/** An area of a draft, measured as far as it can be. */
export interface MeasuredArea extends MeasuredGround {
  readonly id: string
  readonly name: string
  readonly treated: Treated
}
