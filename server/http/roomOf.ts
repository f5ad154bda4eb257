import type { H3Event } from 'h3'
import { ROOM_NAMES, type RoomName } from '#shared/schemas/room'
import { ROOMS, type Room } from '../services/rooms'
import { failure } from './failure'

/** The room an address names; any other name is an address that does not exist. */
export function roomOf(event: H3Event): Room {
  const name = event.context.params?.room ?? ''
  const room = (ROOM_NAMES as readonly string[]).includes(name) ? ROOMS[name as RoomName] : undefined
  if (!room) throw failure('not-found', 'There is nothing at this address.')
  return room
}
