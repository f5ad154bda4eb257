import { APPLICATION_FIELDS } from '../../draft/applicationFields'
import type { LanesDraft } from '../../draft/applicationShape'
import type { FieldReader } from '../../quantity/fieldReader'

/** Degrees from what was typed or dragged; undefined for what is no direction. */
export function typedDirection(text: string | undefined): number | undefined {
  const degrees = Number(text?.replace('°', '').trim() || Number.NaN)
  return Number.isFinite(degrees) && Math.abs(degrees) <= MOST_DEGREES ? degrees : undefined
}
const MOST_DEGREES = 360

/** Reads what was typed about lanes for its errors; what is wrong leaves the tool's own. */
export function readLanes({ turn, buffer, bedBuffer, wind, lawns }: LanesDraft, fields: FieldReader): void {
  const at = fields.of(APPLICATION_FIELDS, '')
  at.optional('lanes.turn', turn)
  at.optional('lanes.buffer', buffer)
  if (bedBuffer) at.optional('lanes.bedBuffer', bedBuffer)
  at.optional('lanes.wind', wind)
  if (lawns.some(({ direction }) => direction.trim() !== '' && typedDirection(direction) === undefined))
    fields.wrong('lanes.direction', 'A direction is degrees from north, 0 to 360: 45.')
}
