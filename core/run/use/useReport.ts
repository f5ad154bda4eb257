import { betweenDimensions } from '../../label/asProduct'
import type { ProductDocument } from '../../label/productShape'
import { readDensity } from '../../label/read/readDensity'
import { readPositive } from '../../quantity/entered'
import { DENSITY_SI_PER } from '../../quantity/units'
import type { Dimension } from '../../quantity/rateUnit'
import { counted } from '../../quantity/counting'
import { asEntered, sixDigits } from '../../working/figureText'

/** What a report of use is told by. */
export const USE_KEYS = ['active', 'product', 'site', 'area', 'person'] as const
export type UseKey = (typeof USE_KEYS)[number]

/** What of one product went down under one heading, corrections summed. */
export interface UseLine {
  /** The active, product, site, area or person it is told under; blank where that was not entered. */
  readonly key: string
  readonly product: string
  readonly sourceId: string | null
  readonly active: string
  readonly group: string
  readonly dimension: Dimension
  /** Kg or m3 of product. */
  readonly amount: number
  readonly applications: number
  /** Ground under it, m2, each application counted. */
  readonly sizeM2: number
  /** First and last day, YYYY-MM-DD. */
  readonly first: string
  readonly last: string
  /** Kg of nitrogen; null where a label does not tell. */
  readonly n: number | null
}

/** A line with what of each active ingredient was in it. */
export interface UsedLine extends UseLine {
  readonly actives: readonly { readonly name: string; readonly kilograms: number | undefined }[]
  /** How the amount and the active's weight came about. */
  readonly working: readonly string[]
}

/** Lines under one heading. */
export interface UseHeading {
  readonly key: string
  readonly lines: readonly UsedLine[]
}

/**
 * A report of use: lines under their headings, headings by name, the one without a name last, each product
 * with the weight of its active ingredients as its label prints them.
 * @param labels of the products that are still saved, by id; of the others actives stay unknown
 */
export function useReport(
  lines: readonly UseLine[],
  labels: ReadonlyMap<string, Pick<ProductDocument, 'actives' | 'density'>>,
): readonly UseHeading[] {
  const headings = new Map<string, UsedLine[]>()
  for (const line of lines) {
    const label = line.sourceId === null ? undefined : labels.get(line.sourceId)
    const held = headings.get(line.key) ?? []
    headings.set(line.key, [...held, withActives(line, label)])
  }
  return [...headings]
    .map(([key, held]) => ({ key, lines: held.toSorted((a, b) => compare(a.product, b.product)) }))
    .toSorted((a, b) => Number(a.key === '') - Number(b.key === '') || compare(a.key, b.key))
}

const compare = (a: string, b: string): number => a.localeCompare(b, 'en', { sensitivity: 'base' })

function withActives(
  line: UseLine,
  label: Pick<ProductDocument, 'actives' | 'density'> | undefined,
): UsedLine {
  const working = [
    `${inTold(line.amount, line.dimension)} of ${line.product} in ` +
      `${counted(line.applications, 'application')} on ` +
      `${sixDigits(line.sizeM2)} m2 in all, as weighed or measured back, corrections counted`,
  ]
  const actives = (label?.actives ?? [])
    .filter(({ name }) => name.trim() !== '')
    .map(({ name, content }) => {
      const held = activeHeld(content, line, label?.density)
      if (held) working.push(`${name.trim()}: ${held.words}`)
      return { name: name.trim(), kilograms: held?.kilograms }
    })
  return { ...line, actives, working }
}

/** Kg as they are, m3 in litres. */
const inTold = (amount: number, dimension: Dimension): string =>
  dimension === 'mass' ? `${sixDigits(amount)} kg` : `${sixDigits(amount * 1000)} L`

/**
 * Kg of an active ingredient in an amount of product: per cent by weight of a weight, weight in volume of a
 * volume, the product's density between the two; undefined where the label does not tell.
 * @example 2 lb/gal in 3 gal: 6 lb; 14.3 % of 10 lb: 1.43 lb
 */
export function activeHeld(
  entered: ProductDocument['actives'][number]['content'],
  { amount, dimension }: Pick<UseLine, 'amount' | 'dimension'>,
  enteredDensity: ProductDocument['density'] | undefined,
): { readonly kilograms: number; readonly words: string } | undefined {
  const content = readPositive(entered, 'content', 'Content')
  if (!content.ok) return undefined
  const { value, unit } = content.value
  const density = enteredDensity && readDensity(enteredDensity)
  const needed: Dimension = unit === '%' ? 'mass' : 'volume'
  const between = betweenDimensions(dimension, needed, density, 'density')
  if (!between.ok) return undefined
  const counted = amount * between.value
  const kilograms = unit === '%' ? (counted * value) / 100 : counted * value * DENSITY_SI_PER[unit]
  return {
    kilograms,
    words:
      (needed === dimension || !density
        ? ''
        : `${inTold(amount, dimension)} at ${asEntered(density)} is ${inTold(counted, needed)}; `) +
      `${value} ${unit} of ${inTold(counted, needed)} is ${sixDigits(kilograms)} kg`,
  }
}
