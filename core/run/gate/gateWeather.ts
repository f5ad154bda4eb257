import { enteredWords } from '../../quantity/enteredWords'
import type { GateReadings } from './gateReadings'

/**
 * The readings of the gate as a record tells the weather; blank where nothing was read.
 * @example 'wind 5 mph from SW, gusts 9 mph, air 68 °F, leaf dry (by The point)'
 */
export function gateWeather({
  wind,
  windFrom,
  gust,
  air,
  soil,
  leaf,
  ground,
  rained,
  from,
}: GateReadings): string {
  const told = [
    ['wind', [enteredWords(wind), windFrom && `from ${windFrom}`].filter(Boolean).join(' ')],
    ['gusts', enteredWords(gust)],
    ['air', enteredWords(air)],
    ['soil', enteredWords(soil)],
    ['rain since yesterday', enteredWords(rained)],
    ['leaf', leaf],
    ['ground', ground],
  ].flatMap(([name, words]) => (words ? [`${name} ${words}`] : []))
  return told.length === 0 ? '' : `${told.join(', ')}${from ? ` (by ${from})` : ''}`
}
