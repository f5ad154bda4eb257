import { tenthsText } from '../../quantity/tenths'
import { sumOf } from '../../quantity/counting'
import { formatFigure } from '../../quantity/format'
import { SYSTEM_UNITS, type UnitSystem } from '../../quantity/systems'
import { temperatureIn } from '../../quantity/temperature'
import { temperatureUnitOf } from '../../quantity/toldTemperature'
import { depthIn, depthUnitOf } from '../../quantity/toldDepth'
import { METRES_PER_SECOND_PER } from '../../quantity/units'
import { isLeafWet, type WeatherHour } from '../../weather/hours/weatherHour'
import { isRainTold } from '../../conditions/hourReading'
import type { GateReadings } from './gateReadings'

/**
 * What a station says of the hour it is, as readings somebody may overrule; what it does not tell stays as it
 * was typed.
 * @param hours of the day before, the day and the next, in their order; @param on the day, YYYY-MM-DD
 * @param now the hour it is
 */
export function readingsFromHours(
  typed: GateReadings,
  hours: readonly WeatherHour[],
  on: string,
  now: number,
  station: string,
  units: UnitSystem,
): GateReadings {
  const index = hours.findIndex((one) => one.on === on && one.hour === Math.floor(now))
  const hour = hours[index]
  if (!hour) return typed
  const speedUnit = SYSTEM_UNITS[units].speed
  const speed = (value: number | undefined, as: GateReadings['wind']): GateReadings['wind'] =>
    value === undefined ? as : { text: tenthsText(value / METRES_PER_SECOND_PER[speedUnit]), unit: speedUnit }
  const degrees = temperatureUnitOf(units)
  const ahead = hours.slice(index).findIndex(isRainTold)
  const behind = hours.slice(Math.max(0, index - 24), index)
  const wet = isLeafWet(hour)
  return {
    ...typed,
    wind: speed(hour.wind, typed.wind),
    gust: speed(hour.gust, typed.gust),
    air: { text: tenthsText(temperatureIn(hour.air, degrees)), unit: degrees },
    rainIn: ahead < 0 ? { text: '', unit: 'h' } : { text: String(ahead), unit: 'h' },
    rained: {
      text: formatFigure(
        depthIn(
          sumOf(behind, ({ rain = 0 }) => rain),
          units,
        ),
      ),
      unit: depthUnitOf(units),
    },
    leaf: wet === undefined ? typed.leaf : wet ? 'wet' : 'dry',
    from: station,
  }
}
