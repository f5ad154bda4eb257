import { daysAfter } from '../calendar/daysBetween'
import { dayText } from '../calendar/dayText'
import type { ProductKind } from '../label/productDocument'
import { isOver, wholeSteps } from '../quantity/tolerance'
import { rateUnitParts } from '../quantity/rateUnit'
import { BARRIER_DAYS } from './lasting'

/** One application as far as the end of what it does depends on it. */
export interface EndingApplication {
  /** YYYY-MM-DD */
  readonly on: string
  readonly kind: ProductKind | ''
  readonly active?: string | undefined
  /** Days of control that its label line prints. */
  readonly lastsDays?: number | null | undefined
  /** Shortest and longest repeat interval of its label, d. */
  readonly repeatFrom?: number | null | undefined
  readonly repeatTo?: number | null | undefined
  /** One of the two applications of a split rate. */
  readonly split?: 'half' | undefined
  /** Nitrogen on each m2, kg; null where the label does not tell. */
  readonly n?: number | null | undefined
  /** Share of that nitrogen that is slow release, and the days it is released over. */
  readonly slowShare?: number | undefined
  readonly releaseDays?: number | null | undefined
  /** It went down as a spray. */
  readonly sprayed?: boolean | undefined
  /** The day its heat units are reached. */
  readonly heatDue?: string | undefined
}

/** What tells the end of an application. */
export type EndRule =
  | 'label'
  | 'heat units'
  | 'interval'
  | 'usual'
  | 'split'
  | 'release'
  | 'quick nitrogen'
  | 'light spray'
  | 'iron'

/** The last day of what an application does, YYYY-MM-DD, and the rule that gave it. */
export interface ApplicationEnd {
  readonly to: string
  readonly by: EndRule
}

/** Actives that hold longer or shorter than is usual for a pre-emergent, d. Source: decide.md 2. */
const PRE_EMERGENT_DAYS: readonly (readonly [active: string, days: number])[] = [
  ['pendimethalin', 60],
  ['prodiamine', 120],
  ['indaziflam', 150],
]
/** Source: decide.md 2. d */
const QUICK_NITROGEN_DAYS = 28
const LIGHT_SPRAY_DAYS = 14
const IRON_DAYS = 21
/** Up to so much sprayed nitrogen is a light dose. kg/m2 */
const LIGHT_NITROGEN = 0.2 * rateUnitParts('lb/1000 ft2').factor
/** Slow nitrogen whose label prints no release: eight weeks, the least of what is usual (trade.md 10). d */
const USUAL_RELEASE_DAYS = 56
/** A feed is a coated one from this share of slow nitrogen. */
const COATED_SHARE = 0.5

/**
 * When what an application does ends, for its own target: the days of control its label prints; else by its
 * kind. A growth regulator ends at its heat units or its days, whichever is first.
 * @param conditions whether the disease index says act: then a fungicide holds only its shortest interval
 * @returns undefined where no rule applies: unknown
 * Source: decide.md 2.
 * @example endOf({ on: '2026-04-16', kind: 'fungicide', repeatFrom: 14, repeatTo: 21 }) // 7 May, interval
 */
export function endOf(
  application: EndingApplication,
  conditions: { readonly indexActs: boolean } = { indexActs: false },
): ApplicationEnd | undefined {
  const { on, heatDue } = application
  const found = daysOfEnd(application, conditions.indexActs)
  const byDays = found && { to: daysAfter(on, wholeSteps(found.days)), by: found.by }
  return heatDue !== undefined && (byDays === undefined || heatDue < byDays.to)
    ? { to: heatDue, by: 'heat units' }
    : byDays
}

interface DaysOfEnd {
  readonly days: number
  readonly by: EndRule
}

function daysOfEnd(application: EndingApplication, indexActs: boolean): DaysOfEnd | undefined {
  const { kind, lastsDays, split } = application
  if (lastsDays !== undefined && lastsDays !== null) return { days: lastsDays, by: 'label' }
  switch (kind) {
    case 'pre-emergent herbicide': {
      const days = preEmergentDays(application.active)
      return split === 'half' ? { days: days / 2, by: 'split' } : { days, by: 'usual' }
    }
    case 'fungicide':
    case 'insecticide':
    case 'growth regulator':
    case 'wetting agent':
      return byInterval(application, kind === 'fungicide' && indexActs)
    case 'fertilizer':
      return feedDays(application)
    case 'iron':
      return { days: IRON_DAYS, by: 'iron' }
    case 'post-emergent herbicide':
    case 'adjuvant':
    case 'dye':
    case 'soil conditioner':
    case '':
      return undefined
  }
}

/** Days a pre-emergent without days of its own usually holds; of a premix those of the longest. */
function preEmergentDays(active = ''): number {
  const named = PRE_EMERGENT_DAYS.filter(([name]) => active.toLowerCase().includes(name))
  return named.length === 0 ? BARRIER_DAYS : Math.max(...named.map(([, days]) => days))
}

function byInterval({ repeatFrom, repeatTo }: EndingApplication, shortest: boolean): DaysOfEnd | undefined {
  const days = shortest ? (repeatFrom ?? repeatTo) : (repeatTo ?? repeatFrom)
  return days === undefined || days === null ? undefined : { days, by: 'interval' }
}

function feedDays({ n, slowShare = 0, releaseDays, sprayed }: EndingApplication): DaysOfEnd | undefined {
  if (releaseDays !== undefined && releaseDays !== null) return { days: releaseDays, by: 'release' }
  if (slowShare >= COATED_SHARE) return { days: USUAL_RELEASE_DAYS, by: 'release' }
  if (n === undefined || n === null || n <= 0) return undefined
  return sprayed && !isOver(n, LIGHT_NITROGEN)
    ? { days: LIGHT_SPRAY_DAYS, by: 'light spray' }
    : { days: QUICK_NITROGEN_DAYS, by: 'quick nitrogen' }
}

const BY_WORDS: Readonly<Record<EndRule, string>> = {
  label: 'by its label',
  'heat units': 'by growing degree days',
  interval: 'by the repeat interval of its label',
  usual: 'as is usual for its active',
  split: 'as one application of a split rate',
  release: 'by its slow release',
  'quick nitrogen': 'as quick nitrogen',
  'light spray': 'as a light sprayed dose of nitrogen',
  iron: 'as iron usually does',
}
/** "until 7 May by the repeat interval of its label". */
export const endText = ({ to, by }: ApplicationEnd): string => `until ${dayText(to)} ${BY_WORDS[by]}`
