import { parseDay } from '../../calendar/parseDay'
import type { LengthUnit, SpeedUnit, TemperatureUnit } from '../../quantity/units'
import { calendarDay } from './weatherFile'

/** A column that was found, with the unit its head names; blank where it names none. */
export interface Column {
  readonly head: string
  readonly unit: string
}

/** Units of a file whose columns do not name theirs. */
export interface FileUnits {
  readonly temperature: TemperatureUnit
  readonly rain: LengthUnit
  readonly wind: SpeedUnit
}

export const FILE_TEMPERATURES: Readonly<Record<string, TemperatureUnit>> = {
  f: '°F',
  '°f': '°F',
  c: '°C',
  '°c': '°C',
}
export const FILE_RAINS: Readonly<Record<string, LengthUnit>> = {
  in: 'in',
  inch: 'in',
  inches: 'in',
  mm: 'mm',
  cm: 'cm',
}
export const FILE_WINDS: Readonly<Record<string, SpeedUnit>> = {
  mph: 'mph',
  'm/s': 'm/s',
  ms: 'm/s',
  'km/h': 'km/h',
  kmh: 'km/h',
}

/** A unit after a blank, a line or in brackets. */
const UNIT_AT_END = /^(.*?)(?:[\s_]+[([]?|[([])(°?[fc]|in|inch|inches|mm|cm|%|mph|m\/s|ms|km\/h|kmh)[)\]]?$/i

/**
 * Columns found by what they may be called, with their unit in brackets or after a blank or underscore.
 * @param names what each may be called, in small letters
 */
export function findColumns<N extends string>(
  heads: readonly string[],
  names: Readonly<Record<N, readonly string[]>>,
): Partial<Record<N, Column>> {
  const found: Partial<Record<N, Column>> = {}
  for (const head of heads) {
    const [, before, unit = ''] = UNIT_AT_END.exec(head.trim()) ?? []
    const plain = (before ?? head.trim()).toLowerCase().replaceAll('_', ' ').trim()
    const name = (Object.keys(names) as N[]).find((one) => names[one].includes(plain))
    if (name && !found[name]) found[name] = { head, unit: unit.toLowerCase() }
  }
  return found
}

/** 2026-05-06, 20260506, or as it is said with its year; a day without a year is none. */
export function dayIn(text: string): string | undefined {
  const [, year, month, day] = /^(\d{4})-?(\d{2})-?(\d{2})(?:[T ].*)?$/.exec(text.trim()) ?? []
  if (year && month && day) return calendarDay(Number(year), Number(month), Number(day))
  if (!/\d{4}/.test(text)) return undefined
  const read = parseDay(text, Number.NaN)
  return read.ok ? read.value : undefined
}

/** A figure with a decimal point or a decimal comma; undefined where it is none. */
export function figureIn(text: string): number | undefined {
  const value = Number(text.trim().replace(',', '.'))
  return text.trim() !== '' && Number.isFinite(value) ? value : undefined
}
