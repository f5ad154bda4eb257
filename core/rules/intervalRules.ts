import { dayText } from '../calendar/dayText'
import { daysAfter, daysBetween } from '../calendar/daysBetween'
import { familyOf, groupCodes, type GroupFamily } from '../label/groupCodes'
import { groupRun, type IndexedRow } from '../season/ledger'
import { remembered } from '../remembered'
import type { LibraryProduct } from '../draft/fromLibrary'
import {
  leaveOut,
  namesOf,
  plannedMark,
  type VisitedArea,
  type RuleVisit,
  type VisitedProduct,
} from './visit'
import type { Check } from './check'
import type { Rule } from './rule'

/** Laid or planned to go down before the work in hand. */
const isBefore = ({ dayNumber, order }: IndexedRow, today: number) => dayNumber <= today && order !== 'after'

/** The newest of the same product, or of another name of its active. */
function lastOf(
  { ledger }: VisitedArea,
  productId: string,
  actives: readonly string[],
  today: number,
): IndexedRow | undefined {
  let last = ledger.byProduct.get(productId)?.find((row) => isBefore(row, today))
  for (const active of actives) {
    const other = ledger.byActive.get(active)?.find((row) => isBefore(row, today))
    if (other && (!last || other.dayNumber > last.dayNumber)) last = other
  }
  return last
}

function tooSoon(line: VisitedProduct, context: RuleVisit): readonly Check[] {
  const wait = line.says.repeatFrom
  if (wait === undefined) return []
  const actives = line.product.document.actives.map(({ name }) => name.trim().toLowerCase()).filter(Boolean)
  const found = context.lawns
    .flatMap((lawn) => {
      const last = lastOf(lawn, line.product.id, actives, context.dayNumber)
      return last && context.dayNumber - last.dayNumber < wait
        ? [{ index: lawn.index, area: lawn.area, last }]
        : []
    })
    .toSorted((a, b) => b.last.dayNumber - a.last.dayNumber)
  const [worst] = found
  if (!worst) return []
  const since = daysBetween(worst.last.on, context.day)
  const when = since === 0 ? 'on this very day' : since === 1 ? 'a day before' : `${since} days before`
  const other = worst.last.product === line.product.name ? '' : ` (as ${worst.last.product})`
  return [
    {
      level: 'stop',
      code: 'too-soon',
      productId: line.note.id,
      source: `label, repeat from ${wait} days`,
      message:
        `${line.product.name}${other} ${worst.last.planned ? 'is planned' : 'last went down'} on ` +
        (`${namesOf(found)} on ${dayText(worst.last.on)}, ${when}; the label asks for ${wait} days. It ` +
          'may go down from ') +
        `${dayText(daysAfter(worst.last.on, Math.ceil(wait)))}.`,
      remedies: [
        {
          label: `Plan it for ${dayText(daysAfter(worst.last.on, Math.ceil(wait)))}`,
          path: 'plannedFor',
          value: daysAfter(worst.last.on, Math.ceil(wait)),
        },
        ...leaveOut(found),
      ],
      working: () => [
        `last on ${worst.area.name}: ${dayText(worst.last.on)}, ${worst.last.product}` +
          `${plannedMark(worst.last)}`,
        `the label asks for ${wait} days between`,
        `free from = ${dayText(daysAfter(worst.last.on, Math.ceil(wait)))}`,
      ],
    },
  ]
}

const kindsOn = remembered(
  (products: readonly LibraryProduct[]) => new Map(products.map(({ id, document }) => [id, document.kind])),
)

/** The groups of a row as its family names them; undefined for rows of other families. */
function groupsIn(family: GroupFamily, context: RuleVisit) {
  const kinds = kindsOn(context.library.products)
  return (row: IndexedRow): readonly string[] | undefined => {
    if (!isBefore(row, context.dayNumber)) return undefined
    const kind = kinds.get(row.sourceId ?? '') ?? row.label?.kind
    return kind && familyOf(kind) === family ? groupCodes(row.groups, family) : undefined
  }
}

function sameGroup(line: VisitedProduct, context: RuleVisit): readonly Check[] {
  const family = familyOf(line.product.document.kind)
  if (!family) return []
  const groups = [...new Set(line.product.document.actives.flatMap(({ group }) => groupCodes(group, family)))]
  const printed = line.says.inRow
  const most = printed ?? context.house.groupRun
  const groupsOf = groupsIn(family, context)
  const found = context.lawns
    .flatMap((lawn) =>
      groups.map((group) => ({ ...lawn, group, run: groupRun(lawn.ledger.rows, group, groupsOf) })),
    )
    .filter(({ run }) => run >= most)
    .toSorted((a, b) => b.run - a.run)
  const [worst] = found
  if (!worst) return []
  const lawns = found.filter(({ group }) => group === worst.group)
  return [
    {
      level: printed === undefined ? 'warn' : 'stop',
      code: 'group-run',
      productId: line.note.id,
      source: printed === undefined ? `house rule, ${most} in a row` : 'label, applications in a row',
      message:
        `The last ${worst.run} of the ${family}s on ${namesOf(lawns)} had mode-of-action group ` +
        `${worst.group} too; after ${most} in a row another group is due, or resistance grows` +
        `${otherGroups(line, worst.group, family, context)}.`,
      remedies: [{ label: 'Choose another group', path: `products.${line.index}.name` }],
      working: () => [
        `${worst.area.name}, newest first, of the ${family}s that carry a group:`,
        ...worst.ledger.rows
          .filter((row) => (groupsOf(row) ?? []).length > 0)
          .slice(0, worst.run + 1)
          .map((row) => `${dayText(row.on)}, ${row.product}: group ${row.groups}${plannedMark(row)}`),
        `group ${worst.group} in a row = ${worst.run}, allowed ${most}`,
      ],
    },
  ]
}

/** As many as can be read at once. */
const MOST_NAMED = 3

/** What stands on the shelf of another group for the same use, and harms none of these grasses. */
function otherGroups(
  { product, line }: VisitedProduct,
  group: string,
  family: GroupFamily,
  { library, lawns }: RuleVisit,
): string {
  const grasses = lawns.flatMap(({ area }) => area.document.grass.map(({ species }) => species))
  const words = wordsOf(line.use)
  const names = library.products
    .filter(({ id, document: { kind, actives, harms = [], lines } }) => {
      if (id === product.id || familyOf(kind) !== family || kind !== product.document.kind) return false
      const groups = actives.flatMap((active) => groupCodes(active.group, family))
      return (
        groups.length > 0 &&
        !groups.includes(group) &&
        !grasses.some((grass) => harms.includes(grass)) &&
        (words.length === 0 || lines.some(({ use }) => wordsOf(use).some((word) => words.includes(word))))
      )
    })
    .map(({ name, document }) => `${name} (${document.actives.map((active) => active.group).join(' + ')})`)
  return names.length === 0
    ? ''
    : `. On the shelf for it, of another group: ${names.slice(0, MOST_NAMED).join(', ')}`
}

/** Words that tell one use from another. */
const wordsOf = (use: string): readonly string[] =>
  use
    .toLowerCase()
    .split(/[^a-z]+/)
    .filter((word) => word.length > 3)

export const INTERVAL_RULES: readonly Rule[] = [
  {
    needs: 'visit',
    codes: ['too-soon'],
    level: 'stop',
    looksAt: 'days since the same product or active went down, or is planned to',
    limit: 'the label’s shortest interval',
    source: 'label',
    find: (visit) => visit.lines.flatMap((line) => tooSoon(line, visit)),
  },
  {
    needs: 'visit',
    codes: ['group-run'],
    level: 'stop where the label prints it, else warn',
    looksAt: 'applications of one mode-of-action group in a row, across names',
    limit: 'the label’s, else the house’s under Settings',
    source: 'label, house rule',
    find: (visit) => visit.lines.flatMap((line) => sameGroup(line, visit)),
  },
]
