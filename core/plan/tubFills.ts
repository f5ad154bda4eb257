import { sumOf } from '../quantity/counting'
import { ROUNDING, wholeSteps } from '../quantity/tolerance'
import type { EquipmentDocument } from '../calibration/equipmentShape'
import { readPositive } from '../quantity/entered'
import { amountFactor, type Quantity } from '../quantity/quantity'
import { asEntered, figureText } from '../working/figureText'
import { closedWorkingBook, type WorkingBook } from '../working/working'
import { isMassUnit, type AmountUnit, type MassUnit } from '../quantity/units'

/** One weighing: what goes in, and what the display reads with the tub on it. */
export interface TubFill {
  readonly count: number
  readonly net: Quantity<AmountUnit>
  readonly shows: Quantity<AmountUnit>
}

/**
 * A charge in weighings of a tub: full ones, then the rest.
 * @param capacity what one weighing may hold, the tub not counted; @param tare the empty tub
 * @returns all in the unit of the charge
 * Source: trade.md 6, fills of the weighing tub.
 * @example 46.3 lb in a tub of 20 lb that weighs 1.5 lb: two of 20 lb (21.5 on the display), one of 6.3 lb
 *   (7.8)
 */
export function tubFills(
  charge: Quantity<MassUnit>,
  capacity: Quantity<MassUnit>,
  tare: Quantity<MassUnit> | undefined,
): readonly TubFill[] {
  const unit = amountFactor(charge.unit)
  const most = (capacity.value * amountFactor(capacity.unit)) / unit
  const tub = tare ? (tare.value * amountFactor(tare.unit)) / unit : 0
  const full = wholeSteps(charge.value / most)
  const rest = charge.value - full * most
  const fill = (count: number, net: number): TubFill => ({
    count,
    net: { value: net, unit: charge.unit },
    shows: { value: net + tub, unit: charge.unit },
  })
  return [...(full > 0 ? [fill(full, most)] : []), ...(rest > most * ROUNDING ? [fill(1, rest)] : [])]
}

interface Tool {
  readonly name: string
  readonly document: EquipmentDocument
}

/**
 * Fills of the crew's weighing tub (or of its scale, where that says what it takes); undefined without one,
 * or for what is not weighed.
 */
export function tubFillsOf(
  charge: Quantity<AmountUnit> | null | undefined,
  equipment: readonly Tool[],
  book: WorkingBook = closedWorkingBook,
): { readonly name: string; readonly fills: readonly TubFill[] } | undefined {
  if (!charge || !isMassUnit(charge.unit)) return undefined
  const weighed: Quantity<MassUnit> = { value: charge.value, unit: charge.unit }
  const tools = equipment.flatMap(({ name, document }) => {
    if (document.kind !== 'tool' || (document.type !== 'weighing tub' && document.type !== 'scale')) return []
    const [capacity, tare] = [
      readPositive(document.capacity, 'amount', 'Capacity'),
      readPositive(document.tare, 'mass', 'Tare'),
    ]
    return capacity.ok && isMassUnit(capacity.value.unit)
      ? [
          {
            name,
            type: document.type,
            capacity: { value: capacity.value.value, unit: capacity.value.unit },
            tare: tare.ok ? tare.value : undefined,
          },
        ]
      : []
  })
  // The largest takes the fewest weighings; a gram scale is no place for a bag.
  const si = ({ capacity }: (typeof tools)[number]) => capacity.value * amountFactor(capacity.unit)
  const tool =
    tools.filter(({ type }) => type === 'weighing tub').toSorted((a, b) => si(b) - si(a))[0] ??
    tools
      .filter((one) => si(one) * MOST_WEIGHINGS >= weighed.value * amountFactor(weighed.unit))
      .toSorted((a, b) => si(b) - si(a))[0]
  if (!tool) return undefined
  const fills = tubFills(weighed, tool.capacity, tool.tare)
  book.note('tub', () => [
    `to weigh ${figureText(weighed)}`,
    `${tool.name} takes ${asEntered(tool.capacity)} at ` +
      `once${tool.tare ? `, and weighs ${asEntered(tool.tare)} empty` : ''}`,
    ...fills.map(
      ({ count, net, shows }) => `${count} x ${figureText(net)}, on the display ${figureText(shows)}`,
    ),
    `weighings = ${sumOf(fills, ({ count }) => count)}`,
  ])
  return { name: tool.name, fills }
}

const MOST_WEIGHINGS = 8
