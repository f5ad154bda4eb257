import type { Carrier } from '../label/dose'
import type { Load } from './loads'
import type { PlanArea } from './planRequest'

/** Ground and water of one application, in SI: m2 and m3. */
export interface Groundwork {
  readonly areas: readonly { readonly area: PlanArea; readonly size: number }[]
  readonly size: number
  readonly carrier: Carrier | undefined
  /** m3 on the lawn and m3 to mix; zero for dry work. */
  readonly spray: number
  readonly mix: number
  readonly loads: readonly Load[]
}
