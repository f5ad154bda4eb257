import * as v from 'valibot'
import { UNIT_SYSTEMS, type UnitSystem } from '#core/quantity/systems'
import { Uuid } from './application'

export const NewOrganizationSchema = v.strictObject({
  id: Uuid,
  name: v.pipe(v.string(), v.trim(), v.minLength(1, 'A crew needs a name.'), v.maxLength(120)),
  units: v.picklist(UNIT_SYSTEMS),
})
export type NewOrganization = v.InferOutput<typeof NewOrganizationSchema>

export const ChooseOrganizationSchema = v.strictObject({ id: Uuid })

export interface Organization {
  readonly id: string
  readonly name: string
  readonly kind: 'sample' | 'own'
  readonly licence: string
  readonly units: UnitSystem
  /** IANA name of the zone its days are counted in. */
  readonly timeZone: string
  /** Milliseconds its clock runs ahead of the real one; the sample's is shifted, an own crew's is 0. */
  readonly clockShift: number
}

/** The organization in hand and those one can change to. */
export interface OrganizationChoice {
  readonly current: Organization
  readonly all: readonly { readonly id: string; readonly name: string; readonly kind: Organization['kind'] }[]
}
