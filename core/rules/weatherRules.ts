import { dayText } from '../calendar/dayText'
import { temperatureSpanIn, temperatureUnitOf } from '../quantity/toldTemperature'
import { toldDepth } from '../quantity/toldDepth'
import type { DayConditions } from '../weather/dayConditions'
import type { Check } from './check'
import { byHouse, byLabel, ofSubject, unitsOf } from './judgedConditions'
import type { Rule } from './rule'
import { namesOf, type RuleVisit, type VisitedProduct } from './visit'

/** Less rain than this is no rain to a drying leaf, m. */
const SOME_RAIN = 0.0005

const says = ({ station, forecast, on }: DayConditions) =>
  `${station} ${forecast ? 'forecasts' : 'measured'} for ${dayText(on)}`

/** Where somebody noted the figure themselves, the note counts and the station is silent. */
const isTyped = (visit: RuleVisit, name: 'air' | 'soil') => Boolean(visit.draft.day?.[name].text.trim())

const hot = (line: VisitedProduct, visit: RuleVisit, weather: DayConditions): readonly Check[] =>
  isTyped(visit, 'air')
    ? []
    : ofSubject(byLabel({ air: weather.most }, line, visit), 'air', ({ message }) => ({
        level: 'warn',
        code: 'forecast-hot',
        productId: line.note.id,
        source: 'label, highest air temperature; the weather of the place',
        message: `${says(weather)}, ${line.product.name}: ${message}`,
        remedies: [{ label: 'Choose a cooler day or hour', path: 'plannedFor' }],
      }))

/** The calmest working hour by the label; the house speaks once for all products. */
function windy(line: VisitedProduct, visit: RuleVisit, weather: DayConditions): readonly Check[] {
  if (weather.winds.length === 0) return []
  const reading = { wind: Math.min(...weather.winds) }
  const isFirst = line === visit.lines[0]
  const found = [...byLabel(reading, line, visit), ...(isFirst ? byHouse(reading, visit) : [])]
  // Still air comes and goes with the hour.
  const strong = found.filter(({ level, source }) => source === 'label' || level === 'stop')
  return ofSubject(strong, 'wind', ({ source, message }) => ({
    level: 'warn',
    code: 'forecast-wind',
    productId: line.note.id,
    source: `${source === 'label' ? 'label, most wind' : 'house, wind'}; the weather of the place`,
    message: `${says(weather)} no calmer working hour, ${line.product.name}: ${message}`,
    remedies: [{ label: 'Choose another day', path: 'plannedFor' }],
  }))
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

/** Soil of the treated areas by weather and probe against the label's line and the house. */
function soilOff(line: VisitedProduct, visit: RuleVisit, weather: DayConditions): readonly Check[] {
  if (isTyped(visit, 'soil')) return []
  const unit = temperatureUnitOf(unitsOf(visit))
  const isFirst = line === visit.lines[0]
  const off = visit.lawns.flatMap((lawn) => {
    const found = weather.soils.find(({ areaId }) => areaId === lawn.area.id)
    if (!found) return []
    const reading = { soil: found.soil }
    const [finding] = [...byLabel(reading, line, visit), ...(isFirst ? byHouse(reading, visit) : [])].filter(
      ({ subject }) => subject === 'soil',
    )
    return finding ? [{ ...lawn, ...found, finding, limit: finding.limit ?? found.soil }] : []
  })
  const [worst] = off.toSorted((a, b) => Math.abs(b.soil - b.limit) - Math.abs(a.soil - a.limit))
  if (!worst) return []
  const sure = Math.abs(worst.soil - worst.limit) > worst.give
  return [
    {
      level: 'warn',
      code: 'estimated-soil',
      productId: line.note.id,
      source: `${worst.finding.source}, soil temperature; the weather of the place`,
      message:
        `${namesOf(off)}, ± ${temperatureSpanIn(worst.give, unit).toFixed(1)} ${unit} by the weather of ` +
        `${weather.station}${sure ? '' : ', so it may be right'}: ${line.product.name}: ` +
        worst.finding.message,
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
    limit: 'the label’s most; for spray the house’s 10 mph',
    source: 'label, house',
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
    limit: 'the window of the label’s line; frozen, and for nitrogen 45 °F',
    source: 'label, house',
    find: each(soilOff),
  },
]
