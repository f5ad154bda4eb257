import type { FrozenPlan } from './runEvent'

/** The lawns of one rate of a frozen plan, by name. */
export const rateLawns = ({ request: { areas }, plan: { rates = [] } }: FrozenPlan, index: number): string =>
  (rates[index]?.areas ?? []).map((id) => areas.find((area) => area.id === id)?.name || 'a lawn').join(', ')
