import { dayText } from '../calendar/dayText'
import { formatFigure } from '../quantity/format'
import { speedSi } from '../quantity/quantity'
import { celsius } from '../quantity/temperature'
import { temperatureSpanIn, temperatureUnitOf, toldTemperature } from '../quantity/toldTemperature'
import { toldDepth } from '../quantity/toldDepth'
import { TRADE_UNITS } from '../quantity/nutrientText'
import { ROUNDING } from '../quantity/tolerance'
import { SYSTEM_UNITS, type UnitSystem } from '../quantity/systems'
import { METRES_PER_SECOND_PER } from '../quantity/units'
import type { DayConditions } from '../weather/dayConditions'
import type { Check } from './check'
import type { Rule } from './rule'
import { namesOf, type RuleVisit, type VisitedProduct } from './visit'

/** Less rain than this is no rain to a drying leaf, m. */
const SOME_RAIN = 0.0005

const unitsOf = ({ request }: RuleVisit): UnitSystem => request.units ?? TRADE_UNITS
const says = ({ station, forecast, on }: DayConditions) =>
  `${station} ${forecast ? 'forecasts' : 'measured'} for ${dayText(on)}`

/** Where somebody noted the figure themselves, the note counts and the station is silent. */
const isTyped = (visit: RuleVisit, name: 'air' | 'soil') => Boolean(visit.draft.day?.[name].text.trim())

function hot(line: VisitedProduct, visit: RuleVisit, weather: DayConditions): readonly Check[] {
  const most = line.says.figures.airMost
  if (!most || isTyped(visit, 'air') || weather.most <= celsius(most) + ROUNDING) return []
  const unit = temperatureUnitOf(unitsOf(visit))
  return [
    {
      level: 'warn',
      code: 'forecast-hot',
      productId: line.note.id,
      source: 'label, highest air temperature; the weather of the place',
      message:
        `${says(weather)} up to ${toldTemperature(weather.most, unit)}: over the ` +
        `${toldTemperature(celsius(most), unit)} up to which ${line.product.name} may go down.`,
      remedies: [{ label: 'Choose a cooler day or hour', path: 'plannedFor' }],
    },
  ]
}

function windy(line: VisitedProduct, visit: RuleVisit, weather: DayConditions): readonly Check[] {
  const most = line.says.figures.windMost
  const calmest = Math.min(...weather.winds)
  if (!most || weather.winds.length === 0 || calmest <= speedSi(most) + ROUNDING) return []
  const unit = SYSTEM_UNITS[unitsOf(visit)].speed
  const told = (speed: number) => `${formatFigure(speed / METRES_PER_SECOND_PER[unit])} ${unit}`
  return [
    {
      level: 'warn',
      code: 'forecast-wind',
      productId: line.note.id,
      source: 'label, most wind; the weather of the place',
      message:
        `${says(weather)} no working hour under ${told(calmest)} of wind: ${line.product.name} goes down ` +
        `up to ${told(speedSi(most))}.`,
      remedies: [{ label: 'Choose another day', path: 'plannedFor' }],
    },
  ]
}

function rainy(line: VisitedProduct, visit: RuleVisit, weather: DayConditions): readonly Check[] {
  const { rain = 0 } = weather
  if (!line.line.figures?.rainfast?.text.trim() || rain < SOME_RAIN) return []
  return [
    {
      level: 'warn',
      code: 'forecast-rain',
      productId: line.note.id,
      source: 'label, rainfast; the weather of the place',
      message:
        `${says(weather)} ${toldDepth(rain, unitsOf(visit))} of rain: ${line.product.name} stays dry for ` +
        `${line.line.figures.rainfast.text.trim()} ${line.line.figures.rainfast.unit}.`,
      remedies: [{ label: 'Choose another day', path: 'plannedFor' }],
    },
  ]
}

/** Soil of the treated areas by weather and probe against the label's line. */
function soilOff(line: VisitedProduct, visit: RuleVisit, weather: DayConditions): readonly Check[] {
  if (isTyped(visit, 'soil')) return []
  const { soilFrom, soilTo } = line.says.figures
  const [from, to] = [soilFrom && celsius(soilFrom), soilTo && celsius(soilTo)]
  const unit = temperatureUnitOf(unitsOf(visit))
  const off = visit.lawns.flatMap((lawn) => {
    const found = weather.soils.find(({ areaId }) => areaId === lawn.area.id)
    if (!found) return []
    const under = from !== undefined && found.soil < from - ROUNDING ? from : undefined
    const over = to !== undefined && found.soil > to + ROUNDING ? to : undefined
    const limit = under ?? over
    return limit === undefined
      ? []
      : [{ ...lawn, ...found, limit, side: under === undefined ? 'over' : 'under' }]
  })
  const [worst] = off.toSorted((a, b) => Math.abs(b.soil - b.limit) - Math.abs(a.soil - a.limit))
  if (!worst) return []
  const sure = Math.abs(worst.soil - worst.limit) > worst.give
  return [
    {
      level: 'warn',
      code: 'estimated-soil',
      productId: line.note.id,
      source: 'label, soil temperature; the weather of the place',
      message:
        `Soil on ${namesOf(off)} is about ${toldTemperature(worst.soil, unit)} ± ` +
        `${temperatureSpanIn(worst.give, unit).toFixed(1)} by the weather of ${weather.station}: ` +
        `${sure ? '' : 'it may be '}${worst.side} the ${toldTemperature(worst.limit, unit)} ` +
        `${worst.side === 'under' ? 'from' : 'up to'} which ${line.product.name} may go down.`,
      remedies: [{ label: 'Read a probe and note it', path: 'day.soil' }],
    },
  ]
}

const each =
  (find: (line: VisitedProduct, visit: RuleVisit, weather: DayConditions) => readonly Check[]) =>
  (visit: RuleVisit): readonly Check[] => {
    const { weather } = visit
    return weather ? visit.lines.flatMap((line) => find(line, visit, weather)) : []
  }

export const WEATHER_RULES: readonly Rule[] = [
  {
    needs: 'visit',
    codes: ['forecast-hot'],
    level: 'warn',
    looksAt: 'the highest air temperature of the day by the site’s station, where none was noted',
    limit: 'the label’s highest',
    source: 'label',
    find: each(hot),
  },
  {
    needs: 'visit',
    codes: ['forecast-wind'],
    level: 'warn',
    looksAt: 'wind of the calmest working hour by the site’s station',
    limit: 'the label’s most',
    source: 'label',
    find: each(windy),
  },
  {
    needs: 'visit',
    codes: ['forecast-rain'],
    level: 'warn',
    looksAt: 'rain of the day by the site’s station',
    limit: 'the label’s time to dry',
    source: 'label',
    find: each(rainy),
  },
  {
    needs: 'visit',
    codes: ['estimated-soil'],
    level: 'warn',
    looksAt: 'soil by weather and probe, where none was noted',
    limit: 'the window of the label’s line',
    source: 'label',
    find: each(soilOff),
  },
]
