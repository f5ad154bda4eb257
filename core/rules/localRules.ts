import { dayText } from '../calendar/dayText'
import { withinYearly } from '../calendar/dayOfYear'
import { yearDayText } from '../calendar/yearDay'
import { daysAfter } from '../calendar/daysBetween'
import { NUTRIENT_NAMES } from '../label/label'
import { nutrientsOn } from '../plan/areaNutrients'
import { fieldReader } from '../quantity/fieldReader'
import { formatFigure } from '../quantity/format'
import { rateUnitParts } from '../quantity/rateUnit'
import { isOver } from '../quantity/tolerance'
import {
  LOCAL_LENGTH_UNITS,
  LOCAL_RATE_UNITS,
  localLimitUnits,
  localRuleFacts,
  type LocalRule,
} from './localRule'
import { NUTRIENT_UNITS, nitrogenOfYear, type LawnNitrogen } from './nutrientYear'
import { phosphorusTested } from './soilRules'
import { namesOf, plannedWords, type RuleVisit } from './visit'
import type { Rule } from './rule'
import type { Remedy, Check } from './check'

/** The crew's own table of local rules, on the day of the job. */
function localFindings(context: RuleVisit): readonly Check[] {
  return context.library.local
    .filter(({ from, to }) => from === '' || to === '' || withinYearly(context.day, from, to))
    .flatMap((rule) => {
      const words = broken(rule, context)
      return words === undefined
        ? []
        : [
            {
              level: rule.kind === 'buffer to water' ? ('note' as const) : ('stop' as const),
              code: 'local-rule' as const,
              source: rule.source.trim() || 'local rule',
              message: `${words}${daysOf(rule)}.`,
              remedies: afterIt(rule, context.day),
            },
          ]
    })
}

/** The day after a closed season, where it has an end and stops the job. */
function afterIt({ kind, from, to }: LocalRule, day: string): readonly Remedy[] {
  if (kind === 'buffer to water' || kind === 'nitrogen in a year' || from === '' || to === '') return []
  const year = Number(day.slice(0, 4)) + (to < day.slice(5) ? 1 : 0)
  const next = daysAfter(`${year}-${to}`, 1)
  return [{ label: `Plan it for ${dayText(next)}`, path: 'plannedFor', value: next }]
}

const daysOf = ({ from, to }: LocalRule) =>
  from === '' || to === '' ? '' : `, ${yearDayText(from)} to ${yearDayText(to)}`

/** What the rule's limit comes to, with its words as they were written; undefined where it can't be read. */
function limitOf({
  kind,
  limit,
  unit,
}: LocalRule): { readonly si: number; readonly words: string } | undefined {
  const written = unit ?? localLimitUnits(kind)[0]
  const rate = LOCAL_RATE_UNITS.find((one) => one === written)
  const read = rate && fieldReader().optional('', { text: limit, unit: rate }, 'rate', 'Limit', 'above-zero')
  return read && { si: read.value * rateUnitParts(read.unit).factor, words: `${read.value} ${read.unit}` }
}

/**
 * A nutrient on each m2 of an area in one go, kg: what this application brings, and what else the visit does.
 */
function inOneGo(areaId: string, nutrient: 'n' | 'p2o5' | 'k2o', context: RuleVisit): number {
  const own = (nutrientsOn(areaId, context.request, context.plan)?.[nutrient] ?? 0) / NUTRIENT_UNITS
  if (own <= 0) return 0
  const others = context.ledger.planned.filter(
    (row) => row.areaId === areaId && row.on === context.day && row.sizeM2 > 0,
  )
  return others.reduce((sum, row) => sum + (row[nutrient] ?? 0) / row.sizeM2, own)
}

/** The most of a nutrient that any treated area gets in one go, kg on each m2. */
const mostInOneGo = (nutrient: 'n' | 'p2o5' | 'k2o', context: RuleVisit): number =>
  Math.max(0, ...context.request.areas.map(({ id }) => inOneGo(id, nutrient, context)))

/** Of the year with this application, on the areas that pass the limit, the worst first. */
function overInYear(limit: number, context: RuleVisit): readonly LawnNitrogen[] {
  return nitrogenOfYear(context)
    .filter(({ now, laid }) => now > 0 && isOver(laid + now, limit))
    .toSorted((a, b) => b.laid + b.now - a.laid - a.now)
}

/** What the rule says of this application, where it forbids it. */
function broken(rule: LocalRule, context: RuleVisit): string | undefined {
  const { nutrient, limit: sort, over } = localRuleFacts(rule.kind)
  if (sort === 'length') {
    const unit = rule.unit ?? LOCAL_LENGTH_UNITS[0]
    return `Keep ${rule.limit.trim() ? `${rule.limit.trim()} ${unit}` : 'away'} from open water`
  }
  if (!nutrient) return 'Nothing may be applied in these days'
  const told = (si: number) => `${formatFigure(si * NUTRIENT_UNITS)} lb ${NUTRIENT_NAMES[nutrient]}/1000 ft2`
  if (over === 'year') {
    const limit = limitOf(rule)
    const [worst, ...more] = limit ? overInYear(limit.si, context) : []
    return (
      worst &&
      `${told(worst.laid + worst.now)} on ${namesOf([worst, ...more].map(({ lawn }) => lawn))} this ` +
        'year with ' +
        `this job${plannedWords(worst.year)}, over ${limit?.words}`
    )
  }
  const most = mostInOneGo(nutrient, context)
  if (sort === 'rate') {
    const limit = limitOf(rule)
    return limit && isOver(most, limit.si) ? `${told(most)} in one go, over ${limit.words}` : undefined
  }
  if (most <= 0) return undefined
  if (nutrient === 'n') return `${told(most)}, where no nitrogen may go down`
  return phosphorusTested(context)
    ? undefined
    : `${told(most)}, where no phosphorus may go down without a soil test`
}

export const CREW_RULES: readonly Rule[] = [
  {
    needs: 'visit',
    codes: ['local-rule'],
    level: 'stop, a buffer a note',
    looksAt: 'the day, and each nutrient on an area in one go and in the year, all work of the visit counted',
    limit: 'the table under Settings',
    source: 'ordinance or contract, as the crew wrote it down',
    find: localFindings,
  },
]
