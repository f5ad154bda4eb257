import { err, ok, type Result } from '../result'
import { checksum } from './checksum'

/** What an instrument can report, and the unit each reading comes in. */
export const DEVICE_UNITS = { weight: 'g', volume: 'mL', distance: 'm', elapsed: 's' } as const
export type DeviceQuantity = keyof typeof DEVICE_UNITS
export const DEVICE_STATES = ['steady', 'moving', 'over'] as const
type DeviceState = (typeof DEVICE_STATES)[number]

/** One reading of an instrument. */
export interface DeviceReading {
  /** Milliseconds on the instrument's own clock. */
  readonly clock: number
  readonly quantity: DeviceQuantity
  /** In the quantity's own unit. */
  readonly value: number
  /** `over`: beyond what the instrument can take; its value means nothing then. */
  readonly state: DeviceState
}

/** Why a line is no reading; each is counted and shown, none is guessed at. */
export type LineError =
  'tooLong' | 'notALine' | 'badChecksum' | 'unknownQuantity' | 'notANumber' | 'unknownState'

/** Longer lines are noise on the wire. */
export const LONGEST_LINE = 120

/**
 * A reading as one line of the wire, without its line feed.
 * @example writeLine({ clock: 1200, quantity: 'weight', value: 1653.2, state: 'steady' }) // 'R1 1200 weight
 * 1653.2 g steady*4E'
 */
export function writeLine({ clock, quantity, value, state }: DeviceReading): string {
  const figure = `${Number(value.toFixed(4))} ${DEVICE_UNITS[quantity]}`
  const text = `R1 ${Math.round(clock)} ${quantity} ${figure} ${state}`
  return `${text}*${checksum(text)}`
}

const SHAPE = /^R1 (\d{1,12}) ([a-z]+) (\S+) (\S+) ([a-z]+)\*([0-9A-F]{2})$/

/** Reads one line of the wire (docs/device-lines.md). */
export function readLine(line: string): Result<DeviceReading, LineError> {
  if (line.length > LONGEST_LINE) return err('tooLong')
  const match = SHAPE.exec(line)
  if (!match) return err('notALine')
  const [, clock = '', quantity = '', figure = '', unit = '', state = '', sum] = match
  if (checksum(line.slice(0, line.lastIndexOf('*'))) !== sum) return err('badChecksum')
  const known = (Object.keys(DEVICE_UNITS) as DeviceQuantity[]).find(
    (one) => one === quantity && DEVICE_UNITS[one] === unit,
  )
  if (!known) return err('unknownQuantity')
  if (!/^-?\d+(\.\d+)?$/.test(figure)) return err('notANumber')
  const stands = DEVICE_STATES.find((one) => one === state)
  return stands
    ? ok({ clock: Number(clock), quantity: known, value: Number(figure), state: stands })
    : err('unknownState')
}
