import { typedFigure } from '../quantity/entered'
import { nutrientText } from '../quantity/nutrientText'
import { dayText } from '../calendar/dayText'
import { withinYearly } from '../calendar/dayOfYear'
import { yearDayText } from '../calendar/yearDay'
import { daysAfter } from '../calendar/daysBetween'
import { elementOf, NUTRIENT_NAMES, type Nutrient } from '../label/label'
import { isPresent, nutrientOn, nutrientWords, slowNitrogenOn } from '../plan/areaNutrients'
import { rateUnitParts } from '../quantity/rateUnit'
import { isOver } from '../quantity/tolerance'
import {
  LOCAL_LENGTH_UNITS,
  LOCAL_RATE_UNITS,
  localLimitUnits,
  localRuleFacts,
  type LocalRule,
  type LocalRuleFacts,
} from './localRule'
import { nitrogenOfYear, type LawnNitrogen } from './nutrientYear'
import { phosphorusTested } from './soilRules'
import { densityOf, namesOf, plannedWords, type RuleVisit } from './visit'
import type { Rule } from './rule'
import type { Remedy, Check } from './check'

type LimitedNutrient = Exclude<Nutrient, 'fe'>

/** The crew's own table of local rules, on the day of the job. */
function localFindings(context: RuleVisit): readonly Check[] {
  return context.library.local
    .filter(({ from, to }) => from === '' || to === '' || withinYearly(context.day, from, to))
    .flatMap((rule): readonly Check[] => {
      const finding = findingOf(rule, context)
      if (!finding) return []
      const { level, words, unknown } = finding
      return [
        {
          level,
          code: 'local-rule',
          source: rule.source.trim() || 'local rule',
          message: `${words}${daysOf(rule)}.`,
          remedies: unknown ? densityOf(context, unknown) : afterIt(rule, context.day),
        },
      ]
    })
}

/** The day after a closed season, where it has an end and stops the job. */
function afterIt({ kind, from, to }: LocalRule, day: string): readonly Remedy[] {
  if (localRuleFacts(kind).limit === 'length' || kind === 'nitrogen in a year') return []
  if (from === '' || to === '') return []
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
  const read = rate && typedFigure({ text: limit, unit: rate }, 'rate')
  return read && { si: read.value * rateUnitParts(read.unit).factor, words: `${read.value} ${read.unit}` }
}

/** A nutrient on each m2 of an area in one go, kg, and what of it nobody can tell. */
interface InOneGo {
  readonly known: number
  readonly unknown: readonly string[]
}

type Counted = LocalRuleFacts['counts']

/** What this application brings to an area, and what else the visit does on that day. */
function inOneGo(areaId: string, nutrient: LimitedNutrient, counts: Counted, context: RuleVisit): InOneGo {
  const own = nutrientOn(areaId, nutrient, context.request, context.plan)
  if (!isPresent(own)) return { known: 0, unknown: [] }
  const quick = counts === 'quick'
  const slow = quick ? slowNitrogenOn(areaId, context.request, context.plan) : 0
  const others = context.ledger.planned
    .filter((row) => row.areaId === areaId && row.on === context.day && row.sizeM2 > 0)
    .map((row) => ({ ...row, laid: quick ? row.quickN : row[nutrient] }))
  const known = others.reduce((sum, { laid, sizeM2 }) => sum + (laid ?? 0) / sizeM2, own.known - slow)
  return {
    known: counts === 'element' ? known * (elementOf(nutrient)?.share ?? 1) : known,
    unknown: [...own.unknown, ...others.flatMap(({ laid, product }) => (laid === null ? [product] : []))],
  }
}

/** The most that any treated area gets in one go, and all that can't be told. */
function mostInOneGo(nutrient: LimitedNutrient, counts: Counted, context: RuleVisit): InOneGo {
  const all = context.request.areas.map(({ id }) => inOneGo(id, nutrient, counts, context))
  return {
    known: Math.max(0, ...all.map(({ known }) => known)),
    unknown: [...new Set(all.flatMap(({ unknown }) => unknown))],
  }
}

/** Of the year with this application, on the areas that pass the limit, the worst first. */
function overInYear(limit: number, context: RuleVisit): readonly LawnNitrogen[] {
  return nitrogenOfYear(context)
    .filter(({ now, laid }) => now > 0 && isOver(laid + now, limit))
    .toSorted((a, b) => b.laid + b.now - a.laid - a.now)
}

/** What a rule says of this application: what it forbids, or that nobody can tell whether it does. */
interface LocalFinding {
  readonly level: Check['level']
  readonly words: string
  /** Products whose amounts are not known. */
  readonly unknown?: readonly string[]
}

function findingOf(rule: LocalRule, context: RuleVisit): LocalFinding | undefined {
  const { nutrient, limit: sort, over, counts } = localRuleFacts(rule.kind)
  if (sort === 'length') {
    const unit = rule.unit ?? LOCAL_LENGTH_UNITS[0]
    const of = rule.kind === 'buffer to beds' ? 'beds' : 'open water'
    return {
      level: 'note',
      words: `Keep ${rule.limit.trim() ? `${rule.limit.trim()} ${unit}` : 'away'} from ${of}`,
    }
  }
  if (!nutrient) return { level: 'stop', words: 'Nothing may be applied in these days' }
  if (sort === 'rate')
    return over === 'year' ? yearFinding(rule, context) : goFinding(rule, nutrient, counts, context)
  const most = mostInOneGo(nutrient, undefined, context)
  if (!isPresent(most)) return undefined
  const goesDown = nutrientWords(most, nutrient, context.request.units)
  if (nutrient === 'n')
    return {
      level: 'stop',
      words: `${goesDown}, where no nitrogen may go down`,
    }
  return phosphorusTested(context)
    ? undefined
    : {
        level: 'stop',
        words: `${goesDown}, where no phosphorus may go down without a soil test`,
      }
}

const nameOf = (nutrient: LimitedNutrient, counts?: Counted): string =>
  counts === 'element' ? (elementOf(nutrient)?.name ?? '') : NUTRIENT_NAMES[nutrient]

const told = (si: number, name: string, { request }: RuleVisit) => nutrientText(si, name, request.units)

const notKnown = (unknown: readonly string[], what: string, limit: string): LocalFinding => ({
  level: 'warn',
  words: `How much ${what} ${unknown.join(' and ')} bring is not known: it can’t be held against ${limit}`,
  unknown,
})

function yearFinding(rule: LocalRule, context: RuleVisit): LocalFinding | undefined {
  const limit = limitOf(rule)
  if (!limit) return undefined
  const [worst, ...more] = overInYear(limit.si, context)
  if (worst)
    return {
      level: 'stop',
      words:
        `${told(worst.laid + worst.now, nameOf('n'), context)} on ` +
        `${namesOf([worst, ...more].map(({ lawn }) => lawn))} this year with this job` +
        `${plannedWords(worst.year)}, over ${limit.words}`,
    }
  const unknown = [...new Set(nitrogenOfYear(context).flatMap((year) => year.unknown))]
  const feeds = context.request.products.some(({ analysis }) => (analysis?.n ?? 0) > 0)
  return feeds && unknown.length > 0 ? notKnown(unknown, 'nitrogen', `${limit.words} a year`) : undefined
}

function goFinding(
  rule: LocalRule,
  nutrient: LimitedNutrient,
  counts: Counted,
  context: RuleVisit,
): LocalFinding | undefined {
  const limit = limitOf(rule)
  if (!limit) return undefined
  const most = mostInOneGo(nutrient, counts, context)
  const name = `${counts === 'quick' ? 'quick ' : ''}${nameOf(nutrient, counts)}`
  if (isOver(most.known, limit.si))
    return { level: 'stop', words: `${told(most.known, name, context)} in one go, over ${limit.words}` }
  return most.unknown.length > 0 ? notKnown(most.unknown, name, `${limit.words} in one go`) : undefined
}

export const CREW_RULES: readonly Rule[] = [
  {
    needs: 'visit',
    codes: ['local-rule'],
    level: 'stop; a buffer note; what can’t be told warn',
    looksAt: 'the day, and each nutrient on an area in one go and in the year, all work of the visit counted',
    limit: 'the table under Settings',
    source: 'ordinance or contract, as the crew wrote it down',
    find: localFindings,
  },
]
