import { blankApplication, blankLawn, blankProduct } from '../../draft/blankApplication'
import { lawnFromArea, noteFromLabel, type LibraryArea, type LibraryProduct } from '../../draft/fromLibrary'
import type { ApplicationDraft, AreaDraft, ProductDraft } from '../../draft/applicationShape'
import { asPlanProduct } from '../../draft/readProducts'
import type { Rate } from '../../label/label'
import { planApplication } from '../../plan/planApplication'
import type { PlanArea, PlanProduct, PlanRequest } from '../../plan/planRequest'
import { amountFactor, areaSi, type Quantity } from '../../quantity/quantity'
import { blankIn } from '../../quantity/entered'
import { fieldReader } from '../../quantity/fieldReader'
import { rateUnitParts } from '../../quantity/rateUnit'
import { sumOf } from '../../quantity/counting'
import type { UnitSystem } from '../../quantity/systems'
import type { AmountUnit, AreaRateUnit, AreaUnit, VolumeUnit } from '../../quantity/units'
import { err, ok, type Result } from '../../result'
import { CORE_VERSION } from '../../version'
import { openWorkingBook } from '../../working/working'
import { frozenLabel } from '../freezePlan'
import type { Used } from '../outcome'
import type { FrozenPlan } from '../runEvent'
import type { EarlierProduct, EarlierWork } from './earlierWork'

/** A saved area with its size on that day, m2. */
export interface EarlierArea extends LibraryArea {
  readonly size: number | undefined
}

/** What of an earlier work is saved with the crew; absent: known by its name alone. */
export interface EarlierMatches {
  readonly siteId?: string
  /** By the name of the lawn as the record has it. */
  readonly areas: ReadonlyMap<string, EarlierArea>
  readonly products: ReadonlyMap<string, LibraryProduct>
}

/** As it is kept: the application as a person would have entered it, its plan and what was used. */
export interface EarlierKept {
  readonly document: ApplicationDraft
  readonly frozen: FrozenPlan
  readonly used: Used
}

/**
 * What an earlier record becomes. Its lawns share the ground treated as their sizes do, where all of them are
 * saved with a size; else the ground is one. A product saved with the crew brings its label: what it holds
 * and how long it works. Where no rate was noted the plan holds what was used, and nothing is judged by it.
 * @param newId for lawns and products of the job
 * @returns a sentence where it contradicts itself
 */
export function earlierPlan(
  work: EarlierWork,
  matches: EarlierMatches,
  newId: () => string,
  system: UnitSystem,
): Result<EarlierKept, string> {
  const method = work.carrier ? 'spray' : 'spread'
  const products = work.products.map((product) => ({
    product,
    rate: product.planned ?? rateUsed(product.used, work.treated),
    note: noteOf(product, matches.products.get(lookUp(product.name)), newId(), method, system),
  }))
  const fields = fieldReader()
  const planned = products.map(({ note, rate }, i): PlanProduct | undefined => {
    const read = asPlanProduct(note, `products.${i}`, fields)
    return read && { ...read, rate, basis: 'product', limits: {} }
  })
  const [problem] = fields.problems
  if (problem) return err(problem.message)
  const { lawns, areas } = groundOf(work, matches, newId, system)
  const made = work.carrier && madeOf(work.carrier, work.treated)
  const request: PlanRequest = {
    areas,
    products: planned.flatMap((one) => one ?? []),
    method:
      work.carrier && made
        ? { kind: 'spray', carrier: work.carrier, tank: made, loads: 'full-then-part' }
        : { kind: 'spread', passes: 1 },
  }
  const plan = planApplication(request, openWorkingBook())
  if (!plan.ok) return err(plan.error[0]?.message ?? 'It contradicts itself.')
  const blank = blankApplication(
    { lawn: newId(), part: newId(), product: newId(), run: newId() },
    method,
    system,
  )
  const document: ApplicationDraft = {
    ...blank,
    lawns,
    products: products.map(({ note }) => note),
    [method]: { ...blank[method], equipment: work.equipment },
  }
  const [first] = work.products
  return ok({
    document,
    frozen: {
      coreVersion: CORE_VERSION,
      site: work.site,
      ...(matches.siteId !== undefined && { siteId: matches.siteId }),
      equipment: work.equipment,
      calibration: work.calibration,
      labels: document.products.map(frozenLabel),
      request,
      plan: plan.value,
      earlier: work.products.every(({ planned: told }) => told) ? 'planned' : 'as used',
    },
    used: {
      treated: work.treated,
      putIn: products.map(({ product: { used }, note }) => ({ productId: note.id, amount: used })),
      left: { value: 0, unit: made?.unit ?? first?.used.unit ?? 'lb' },
      ...(made && { made }),
    },
  })
}

/** Names are the same whatever case and blanks they are written in. */
export const lookUp = (name: string): string => name.trim().toLowerCase().replaceAll(/\s+/g, ' ')

function noteOf(
  { name, registration, active, group }: EarlierProduct,
  saved: LibraryProduct | undefined,
  id: string,
  method: ApplicationDraft['method'],
  system: UnitSystem,
): ProductDraft {
  const [line] = saved?.document.lines ?? []
  const blank = blankProduct(id, method, system)
  const note = saved && line ? noteFromLabel(saved, line, id, blank.step) : blank
  return {
    ...note,
    name,
    registration: registration || note.registration,
    active: { ...note.active, name: active || note.active.name, group: group || (note.active.group ?? '') },
    // The rate is the record's; what the label allows is not asked of what is done.
    basis: 'product',
    rate: { text: '1', unit: note.rate.unit },
    low: blankIn(note.low.unit),
    high: blankIn(note.high.unit),
    most: blankIn(note.most.unit),
  }
}

function groundOf(
  { id, lawns, treated }: EarlierWork,
  { areas }: EarlierMatches,
  newId: () => string,
  system: UnitSystem,
): { readonly lawns: readonly AreaDraft[]; readonly areas: readonly PlanArea[] } {
  const saved = lawns.flatMap((name) => areas.get(lookUp(name)) ?? [])
  const whole = sumOf(saved, ({ size = 0 }) => size)
  if (saved.length > 0 && saved.length === lawns.length && saved.every(({ size }) => size))
    return {
      lawns: saved.map((area) => lawnFromArea(area, 'yes')),
      areas: saved.map(({ id: areaId, name, size = 0 }) => ({
        id: areaId,
        name,
        size: { value: (treated.value * size) / whole, unit: treated.unit },
      })),
    }
  const name = lawns.join('; ')
  return {
    lawns: [{ ...blankLawn({ lawn: id, part: newId() }, system), name }],
    areas: [{ id, ...(name && { name }), size: treated }],
  }
}

/** Of ground that is told in small units a rate is told on a thousand of them. */
const PER: Readonly<Partial<Record<AreaUnit, AreaUnit>>> = { ft2: '1000 ft2', m2: '100 m2' }

function rateUsed(used: Quantity<AmountUnit>, treated: Quantity<AreaUnit>): Rate {
  const unit: AreaRateUnit = `${used.unit}/${PER[treated.unit] ?? treated.unit}`
  const perArea = (used.value * amountFactor(used.unit)) / areaSi(treated)
  return { value: perArea / rateUnitParts(unit).factor, unit }
}

function madeOf(
  carrier: NonNullable<EarlierWork['carrier']>,
  treated: Quantity<AreaUnit>,
): Quantity<VolumeUnit> {
  const unit = carrier.unit.slice(0, carrier.unit.indexOf('/')) as VolumeUnit
  const volume = carrier.value * rateUnitParts(carrier.unit).factor * areaSi(treated)
  return { value: volume / amountFactor(unit), unit }
}
