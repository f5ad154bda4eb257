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
  fields.optional('lanes.turn', turn, 'stopwatch', 'A turn', 'zero-too')
  fields.optional('lanes.buffer', buffer, 'length', 'Buffer', 'zero-too')
  if (bedBuffer) fields.optional('lanes.bedBuffer', bedBuffer, 'length', 'Buffer', 'zero-too')
  fields.optional('lanes.wind', wind, 'speed', 'Wind', 'zero-too')
  if (lawns.some(({ direction }) => direction.trim() !== '' && typedDirection(direction) === undefined))
    fields.wrong('lanes.direction', 'A direction is degrees from north, 0 to 360: 45.')
}
