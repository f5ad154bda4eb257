import { firstChain } from './001-first-chain'
import { rooms } from './002-rooms'
import { pictures } from './003-pictures'
import { trials } from './004-trials'
import { drivingOrder } from './005-driving-order'
import { refusals } from './006-refusals'
import { deviceTime } from './007-device-time'
import { people } from './008-people'
import { givenTo } from './009-given-to'
import { weather } from './010-weather'
import { season } from './011-season'
import { carriedOut } from './012-carried-out'
import { papers } from './013-papers'
import { commonMix } from './014-common-mix'
import { cleanOutHour } from './015-clean-out-hour'
import { lightPass } from './016-light-pass'
import { notCertain } from './017-not-certain'
import type { Migration } from './migration'

/**
 * Every change of the schema, in order, each with its way back. Keys lead with the organization (docs:
 * architecture).
 */
export const MIGRATIONS: readonly Migration[] = [
  firstChain,
  rooms,
  pictures,
  trials,
  drivingOrder,
  refusals,
  deviceTime,
  people,
  givenTo,
  weather,
  season,
  carriedOut,
  papers,
  commonMix,
  cleanOutHour,
  lightPass,
  notCertain,
]
