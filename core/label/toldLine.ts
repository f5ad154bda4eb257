import type { Entered } from '../quantity/entered'
import { enteredWords } from '../quantity/enteredWords'
import { RATE_BASIS_NAMES } from './label'
import type { LineFigure } from './productFields'
import type { RateLine } from './productShape'

/** The parts in which a line of a label is told back, in the order people ask for them. */
export type LineSection = 'rate' | 'timing' | 'water' | 'weather' | 'grasses'

/** The figures of a line that stand in each part. */
export const SECTION_FIGURES = {
  rate: [],
  timing: ['lead', 'lasts', 'mowBefore', 'mowAfter', 'rakeAfter'],
  water: ['carrierFrom', 'carrierTo', 'waterDepth', 'waterWithin', 'rainfast', 'buffer'],
  weather: ['soilFrom', 'soilTo', 'airMost', 'windMost'],
  grasses: ['seedAfter', 'seedBefore'],
} as const satisfies Readonly<Record<LineSection, readonly LineFigure[]>>

/**
 * A line of a label in sentences, as it was typed: nothing is converted, what the label does not say is left
 * out.
 * @returns a sentence for each section; blank where the line says nothing of it
 */
export const toldLine = (line: RateLine): Readonly<Record<LineSection, string>> => ({
  rate: sentence([
    enteredWords(line.rate),
    ...inUnitOf(line.rate, [
      (known) => toldRange('label', known(line.low), known(line.high)),
      (known) => told('at most', known(line.most), 'in one go'),
      (known) => told('at most', known(line.year), yearWords(line)),
    ]),
    line.yearActive && told('at most', line.yearActive, `of the active, ${yearWords(line)}`),
    line.basis !== 'product' && `counted as ${RATE_BASIS_NAMES[line.basis]}`,
    line.method && METHOD_WORDS[line.method],
  ]),
  timing: sentence([
    toldRange('again after', line.repeatFrom, line.repeatTo),
    counted(line.perYear, 'times a year'),
    counted(line.inRow, 'times in a row'),
    figure(line, 'works after', 'lead'),
    figure(line, 'lasts', 'lasts'),
    line.heatUnits?.trim() && `lasts ${line.heatUnits.trim()} heat units`,
    figure(line, 'no mowing for', 'mowBefore', 'before'),
    figure(line, 'no mowing for', 'mowAfter', 'after'),
    figure(line, 'no raking or coring for', 'rakeAfter'),
  ]),
  water: sentence([
    toldRange('spray in', line.figures?.carrierFrom, line.figures?.carrierTo),
    figure(line, 'water in by', 'waterDepth', figure(line, 'within', 'waterWithin')),
    !line.figures?.waterDepth?.text.trim() && figure(line, 'water in within', 'waterWithin'),
    figure(line, 'rainfast after', 'rainfast'),
    line.drops && `${line.drops} drops or coarser`,
    figure(line, 'keep', 'buffer', 'from open water'),
  ]),
  weather: sentence([
    toldRange('soil', line.figures?.soilFrom, line.figures?.soilTo),
    figure(line, 'air up to', 'airMost'),
    figure(line, 'wind up to', 'windMost'),
    line.growth && `turf ${line.growth}`,
  ]),
  grasses: sentence([
    line.grasses?.length ? `for ${line.grasses.join(', ')}` : '',
    figure(line, 'wait', 'seedAfter', 'after seeding'),
    figure(line, 'no seeding for', 'seedBefore'),
    line.sparesSown?.length ? `may be sown at once: ${line.sparesSown.join(', ')}` : '',
  ]),
})

const METHOD_WORDS = {
  spread: 'spread dry',
  tank: 'from a tank and boom',
  'hose-end': 'through a hose end',
  'by hand': 'by hand',
} as const

const yearWords = ({ period }: RateLine): string =>
  period === 'calendar year'
    ? 'a calendar year'
    : period === 'twelve months'
      ? 'in any twelve months'
      : 'a year'

/** Parts of a sentence whose unit was said by the first figure: it is not said again. */
function inUnitOf(
  first: Entered,
  parts: readonly ((known: (entered: Entered) => Entered) => string)[],
): readonly string[] {
  const known = (entered: Entered): Entered =>
    first.text.trim() !== '' && entered.unit === first.unit ? { ...entered, unit: '' } : entered
  return parts.map((part) => part(known))
}

function toldRange(before: string, first: Entered | undefined, last: Entered | undefined): string {
  const words = enteredWords(first, last)
  return words && `${before} ${words}`.trim()
}

function told(before: string, entered: Entered | undefined, after = ''): string {
  const words = enteredWords(entered)
  return words && `${before} ${words} ${after}`.trim()
}

const figure = (line: RateLine, before: string, name: LineFigure, after?: string): string =>
  told(before, line.figures?.[name], after)

const counted = (times: string | undefined, words: string): string =>
  times?.trim() ? `at most ${times.trim()} ${words}` : ''

/** Parts joined to one sentence, the first letter large. */
export function sentence(parts: readonly (string | false | undefined)[]): string {
  const words = parts.filter(Boolean).join(', ')
  return words && `${words[0]!.toUpperCase()}${words.slice(1)}.`
}
