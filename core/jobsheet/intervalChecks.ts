import { dayText } from '../calendar/dayText'
import { daysAfter, daysBetween } from '../calendar/daysBetween'
import { countIn } from '../label/productDocument'
import { fieldReader } from '../quantity/fieldReader'
import { SECONDS_PER, type TimeUnit } from '../quantity/units'
import type { Entered } from '../quantity/entered'
import { groupRun, groupsIn, type IndexedRow } from '../season/history'
import { remembered } from '../remembered'
import type { KeptProduct } from './fromRooms'
import { leaveOut, namesOf, type KnownLawn, type LabelContext, type LabelledLine } from './labelContext'
import type { SheetCheck } from './sheetCheck'

/** Days of a typed time; undefined while blank or wrong. */
export const daysIn = (entered: Entered<TimeUnit> | undefined): number | undefined => {
  const read = entered && fieldReader().optional('', entered, 'time', 'Time', 'above-zero')
  return read && (read.value * SECONDS_PER[read.unit]) / SECONDS_PER.d
}

/** Too soon after the last, and too many in a row of one mode of action. Source: trade.md 5 and 6. */
export const intervalChecks = (context: LabelContext): readonly SheetCheck[] =>
  context.lines.flatMap((line) => [...tooSoon(line, context), ...sameGroup(line, context)])

/** The newest of the same product, or of another name of its active. */
function lastOf(
  { history }: KnownLawn,
  productId: string,
  actives: readonly string[],
  today: number,
): IndexedRow | undefined {
  let last = history.byProduct.get(productId)?.find((row) => row.dayNumber <= today)
  for (const active of actives) {
    const other = history.byActive.get(active)?.find((row) => row.dayNumber <= today)
    if (other && (!last || other.dayNumber > last.dayNumber)) last = other
  }
  return last
}

function tooSoon(line: LabelledLine, context: LabelContext): readonly SheetCheck[] {
  const wait = daysIn(line.line.repeatFrom)
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
        `${line.product.name}${other} last went down on ${namesOf(found)} on ${dayText(worst.last.on)}, ` +
        `${when}; the label asks for ${wait} days. It may go down from ` +
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
        `last on ${worst.area.name}: ${dayText(worst.last.on)}, ${worst.last.product}`,
        `the label asks for ${wait} days between`,
        `free from = ${dayText(daysAfter(worst.last.on, Math.ceil(wait)))}`,
      ],
    },
  ]
}

const kindsOn = remembered(
  (products: readonly KeptProduct[]) => new Map(products.map(({ id, document }) => [id, document.kind])),
)

function sameGroup(line: LabelledLine, context: LabelContext): readonly SheetCheck[] {
  const groups = line.product.document.actives.flatMap(({ group }) => groupsIn(group))
  if (groups.length === 0) return []
  const printed = countIn(line.line.inRow)
  const most = printed ?? context.house.groupRun
  const kinds = kindsOn(context.rooms.products)
  const { kind } = line.product.document
  const ofKind = ({ sourceId, dayNumber }: IndexedRow) =>
    dayNumber <= context.dayNumber && sourceId !== null && kinds.get(sourceId) === kind
  const found = context.lawns
    .flatMap((lawn) => {
      const run = groupRun(lawn.history.rows, groups, ofKind)
      return run >= most ? [{ index: lawn.index, area: lawn.area, history: lawn.history, run }] : []
    })
    .toSorted((a, b) => b.run - a.run)
  const [worst] = found
  if (!worst) return []
  return [
    {
      level: printed === undefined ? 'warn' : 'stop',
      code: 'group-run',
      productId: line.note.id,
      source: printed === undefined ? `house rule, ${most} in a row` : 'label, applications in a row',
      message:
        `The last ${worst.run} of its kind on ${namesOf(found)} had mode-of-action group ` +
        `${groups.join(' + ')} too; after ${most} in a row another group is due, or resistance grows.`,
      remedies: [{ label: 'Choose another group', path: `products.${line.index}.name` }],
      working: () => [
        `${worst.area.name}, newest first, of one kind with ${line.product.name} (${kind}):`,
        ...worst.history.rows
          .filter(ofKind)
          .slice(0, worst.run + 1)
          .map((row) => `${dayText(row.on)}, ${row.product}: group ${row.groups || 'none'}`),
        `in a row = ${worst.run}, allowed ${most}`,
      ],
    },
  ]
}
