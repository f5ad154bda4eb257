import type { ApplicationDraft } from '../draft/applicationShape'
import type { RunDetails } from './runEvent'

/** What is known of who works here: who is signed in or logged last, and the licence that goes with it. */
interface KnownCrew {
  readonly by: string
  readonly licence: string
}

/**
 * What the log can say before anybody types: who, against what, in which weather as it was expected.
 * @param purpose what the job is for
 * @example knownDetails(draft, 'dollar spot', { by: 'R. Okafor', licence: 'C-4471' }).weather // '78 °F air,
 *   66 °F soil, turf growing'
 */
export function knownDetails(
  draft: Pick<ApplicationDraft, 'day'> | undefined,
  purpose: string,
  { by, licence }: KnownCrew,
): RunDetails {
  const day = draft?.day
  const weather = [
    day?.air.text.trim() ? `${day.air.text.trim()} ${day.air.unit} air` : '',
    day?.soil.text.trim() ? `${day.soil.text.trim()} ${day.soil.unit} soil` : '',
    day?.turf ? `turf ${day.turf}` : '',
  ]
  return { by, licence, target: purpose.trim(), weather: weather.filter(Boolean).join(', '), remarks: '' }
}
