import { readNotNegative, readPositive, type Entered } from '#core/quantity/entered'
import { amountFactor, areaIn, squareMetres, type Quantity } from '#core/quantity/quantity'
import { formatFigure, formatSteps } from '#core/quantity/format'
import { hopperCharge } from '#core/plan/hopperCharge'
import { commonLoads } from '#core/run/common/commonLoads'
import { judgingOf } from '#core/run/freezePlan'
import { outcomeOf, type Used } from '#core/run/outcome'
import { putIn as putInSoFar } from '#core/run/steps/putIn'
import { showSize, SYSTEM_UNITS } from '#core/quantity/systems'
import { sprayForRate } from '#core/run/onEachRate'
import type { RunRecord } from '#core/run/foldRun'
import type { AmountUnit, AreaUnit, VolumeUnit } from '#core/quantity/units'
import { closedWorkingBook, openWorkingBook } from '#core/working/working'

/**
 * What is typed after a run, before it is logged. Plan figures stand there to begin with; what was left is
 * asked.
 */
export interface OutcomeEntries {
  treated: Entered<AreaUnit>
  putIn: { productId: string; name: string; entered: Entered<AmountUnit> }[]
  made: Entered<AmountUnit>
  left: Entered<AmountUnit>
  /** What each rate's lawns got but the last, where a job has several rates: product, or spray. */
  apart: Entered<AmountUnit>[]
}

const typed = <U extends string>({ value, unit }: Quantity<U>): Entered<U> => ({
  text: formatFigure(value).replaceAll(',', ''),
  unit,
})
/** What was measured out is in whole steps: they stand there to the last one. */
const typedSteps = <U extends string>({ value, unit }: Quantity<U>): Entered<U> => ({
  text: formatSteps(value).replaceAll(',', ''),
  unit,
})

/**
 * Reads the entries as they are typed and says at once what rate they come to.
 * @param carried what the site before left in the tank of a common mix; counts where nobody wrote down what
 *   was found
 */
export function useOutcome(record: RunRecord, carried?: Quantity<VolumeUnit>) {
  const crew = useCrewStore()
  const { request, plan, labels, common } = record.frozen
  const judging = judgingOf(record.frozen)
  const { totals } = plan
  const rates = plan.rates ?? []
  const wet = request.method.kind === 'spray'
  const hopper = hopperCharge(request, plan)
  /** As it was written down on the way. */
  const progress = carried ? { tank: { found: carried }, ...record.progress } : record.progress
  const soFar = putInSoFar(record.frozen, progress)
  const isWritten = common !== undefined || progress.measured.length > 0 || progress.covered.length > 0
  const tank = (isWritten ? soFar.made : undefined) ?? totals.mix
  const weighed = (load: number) => record.progress.measured.find((one) => one.load === load)?.amount
  const dead = request.method.kind === 'spray' ? request.method.dead : undefined
  /** What stands there to begin with is shown rounded; left as it stands, it counts to the last digit. */
  const exact = new Map<string, { readonly shown: Entered; readonly exact: Quantity }>()
  const standing = <U extends string>(path: string, shown: Entered<U>, quantity: Quantity<U>): Entered<U> => {
    exact.set(path, { shown, exact: quantity })
    return { ...shown }
  }
  const asItStands = <U extends string>(path: string, entered: Entered<U>): Quantity<U> | undefined => {
    const known = exact.get(path)
    return known?.shown.text === entered.text && known.shown.unit === entered.unit
      ? (known.exact as Quantity<U>)
      : undefined
  }
  const entries = reactive<OutcomeEntries>({
    treated: standing(
      'treated',
      {
        text: showSize(squareMetres(totals.size.value), crew.units).figure.replaceAll(',', ''),
        unit: SYSTEM_UNITS[crew.units].size,
      },
      areaIn(squareMetres(totals.size.value), SYSTEM_UNITS[crew.units].size),
    ),
    putIn: totals.products.map((total) => {
      const name = labels.find(({ productId }) => productId === total.id)?.name || 'Product'
      // What came along in a common mix was measured out for all its sites: it is in no steps here.
      const inSteps = request.products.some(({ id, measureStep }) => id === total.id && measureStep)
      const told = inSteps && !common ? typedSteps : typed
      const written = isWritten ? soFar.products.get(total.id) : undefined
      const put = written ?? hopper?.weighIn ?? total.measured
      return { productId: total.id, name, entered: standing(`putIn.${total.id}`, told(put), put) }
    }),
    made: tank ? standing('made', typed(tank), tank) : { text: '', unit: 'gal' },
    left: {
      text: '',
      unit: wet ? (dead?.unit ?? totals.mix?.unit ?? 'gal') : (hopper?.weighIn.unit ?? 'lb'),
    },
    apart: rates.slice(0, -1).map((group, i) => {
      const onto = wet ? sprayForRate(plan, group) : (weighed(i + 1) ?? group.products[0]?.measured)
      return onto
        ? standing(`apart.${i}`, wet ? typed(onto) : typedSteps(onto), onto)
        : { text: '', unit: wet ? 'gal' : 'lb' }
    }),
  })

  const read = computed(() => {
    const problems: Record<string, string> = {}
    const take = <T>(
      path: string,
      result: { ok: true; value: T } | { ok: false; error: { message: string } },
    ): T | undefined => {
      if (result.ok) return result.value
      problems[path] = result.error.message
      return undefined
    }
    const treated =
      asItStands('treated', entries.treated) ??
      take('treated', readPositive(entries.treated, 'area', 'Treated'))
    const made = wet
      ? (asItStands('made', entries.made) ?? take('made', readPositive(entries.made, 'amount', 'Spray made')))
      : undefined
    const left = take('left', readNotNegative(entries.left, 'amount', 'What was left'))
    const putIn = entries.putIn.flatMap(({ productId, entered, name }) => {
      const amount =
        asItStands(`putIn.${productId}`, entered) ??
        take(`putIn.${productId}`, readPositive(entered, 'amount', name))
      return amount ? [{ productId, amount }] : []
    })
    const apart = entries.apart.flatMap(
      (entered, i) =>
        asItStands(`apart.${i}`, entered) ??
        take(`apart.${i}`, readPositive(entered, 'amount', 'What went onto these lawns')) ??
        [],
    )
    const whole =
      treated &&
      left &&
      (made || !wet) &&
      putIn.length === entries.putIn.length &&
      apart.length === entries.apart.length
    const { strips } = record.progress
    const entered: Used | undefined = whole
      ? { treated, left, putIn, ...(made && { made }), ...(apart.length > 0 && { apart }) }
      : undefined
    const used = entered && strips.length > 0 ? { ...entered, strips } : entered
    const outcome = used && outcomeOf(request, plan, used, closedWorkingBook, judging)
    if (outcome && !outcome.ok) for (const { path, message } of outcome.error) problems[path] = message
    return { used, entered, problems, outcomes: outcome?.ok ? outcome.value : [] }
  })

  /** What should be left if everything goes as planned: the reserve, or what never leaves the hose. */
  const expectedLeft = computed<Quantity<AmountUnit> | undefined>(() => {
    if (!wet) return hopper?.reserve
    return commonLoads(record.frozen, progress.tank?.found)?.leaves ?? dead
  })
  /** How the actual rates come about, and the plan they are held against. */
  function pages() {
    const book = openWorkingBook()
    if (read.value.used) outcomeOf(request, plan, read.value.used, book, judging)
    commonLoads(record.frozen, progress.tank?.found, book)
    return [...book.pages(), ...plan.working]
  }
  const leftFactor = (quantity: Quantity<AmountUnit>) => quantity.value * amountFactor(quantity.unit)
  return {
    entries,
    read,
    expectedLeft: computed(() =>
      expectedLeft.value && leftFactor(expectedLeft.value) > 0 ? expectedLeft.value : undefined,
    ),
    wet,
    pages,
  }
}
