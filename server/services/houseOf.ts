import type { House } from '#core/house'
import type { Organization } from '#shared/schemas/organization'

/** The house rules of a crew, with the units in which their sentences are read. */
export const houseOf = ({ settings, units }: Pick<Organization, 'settings' | 'units'>): House => ({
  ...settings.house,
  units,
})
