import type { AmountUnit } from '../../quantity/units'
import { amountFactor, areaSi, type Quantity, type SquareMetres } from '../../quantity/quantity'
import { ROUNDING } from '../../quantity/tolerance'
import { squareMetres } from '../../quantity/quantity'
import type { LoadPlan } from '../../plan/plan'
import { commonLoads, type CommonLoads } from '../common/commonLoads'
import type { CommonStop } from '../common/commonStop'
import type { CheckedEntry } from '../carriedShape'
import { askCheckpoint } from '../corrections/askCheckpoint'
import { checkpointResult, type CheckpointResult, type Lacking } from '../corrections/checkpoint'
import { loadsToCome, type LoadDone } from '../corrections/remainingLoads'
import { passesToCome } from '../corrections/leftover'
import { doneAt, type RunProgress } from '../progress'
import type { FrozenPlan } from '../runEvent'

/** One screen of a run. Its id is what events and addresses name it by. */
export type RunStep = { readonly id: string } & (
  | { readonly kind: 'gate' }
  /** Weigh a dry charge: all of it, or that of one rate's lawns. */
  | {
      readonly kind: 'weigh'
      readonly load: number
      readonly productId: string
      readonly wanted: Quantity<AmountUnit>
      readonly forGround: Quantity<AmountUnit>
      readonly size: SquareMetres
      readonly areas: readonly string[]
    }
  /** Walk a pass, or the part of it up to the next checkpoint; shares of the pass. */
  | {
      readonly kind: 'pass'
      readonly pass: number
      readonly passes: number
      readonly from: number
      readonly to: number
      /** Which rate's lawns, where they are walked apart; else 0. */
      readonly load: number
    }
  | {
      readonly kind: 'check'
      readonly pass: number
      readonly share: number
      readonly lawn: string
      /** What should be left; undefined where passes go on until it is out. */
      readonly should: Quantity<AmountUnit> | undefined
    }
  /** What of a common mix is in the tank on arrival. */
  | { readonly kind: 'tank'; readonly common: CommonStop }
  | {
      readonly kind: 'mix'
      readonly load: LoadPlan
      /** Of how many; undefined where the day numbers them. */
      readonly loads: number | undefined
      readonly corrected: 'yes' | 'no'
    }
  | {
      readonly kind: 'spray'
      /** The size is the ground of this site that it is for. */
      readonly load: LoadPlan
      /** Of how many; undefined where the day numbers them. */
      readonly loads: number | undefined
      /** Ground behind it: covered, or planned to be, by the loads before. */
      readonly behind: SquareMetres
      readonly then: 'cover' | 'rest'
    }
  | {
      readonly kind: 'cover'
      readonly load: LoadPlan
      readonly loads: number | undefined
      /** Other sites count on the strength of a common mix: what follows is never mixed anew for one. */
      readonly anew: 'yes' | 'no'
    }
  /** Once more, lightly, over ground behind that lacks more than a tenth. */
  | { readonly kind: 'light'; readonly lacking: Lacking }
  /** What is left when all of it is covered, or one stops before. */
  | { readonly kind: 'rest' }
  | { readonly kind: 'sweep' }
  | { readonly kind: 'rinse' }
  | { readonly kind: 'water' }
  | { readonly kind: 'notice' }
  | { readonly kind: 'record' }
)

/**
 * The steps of a run in their order, made from the frozen plan and from what has been written down: loads to
 * come change with the ground that loads before them covered, light passes go on until it is out. The tank of
 * a common mix is rinsed at the last site only.
 * Source: trade.md 1, 8 and 9.
 */
export function runSteps(frozen: FrozenPlan, progress: RunProgress): readonly RunStep[] {
  const wet = frozen.request.method.kind === 'spray'
  return [
    { id: 'gate', kind: 'gate' },
    ...(wet ? wetSteps(frozen, progress) : drySteps(frozen, progress)),
    { id: 'rest', kind: 'rest' },
    ...cleanUp(frozen),
    ...(asksForWater(frozen) ? [{ id: 'water', kind: 'water' as const }] : []),
    { id: 'notice', kind: 'notice' },
    { id: 'record', kind: 'record' },
  ]
}

const cleanUp = ({ request, common }: FrozenPlan): readonly RunStep[] => {
  if (request.method.kind === 'spread') return [{ id: 'sweep', kind: 'sweep' }]
  return common?.to ? [] : [{ id: 'rinse', kind: 'rinse' }]
}

/** Where labels say nothing of water, nobody is asked; of plans frozen without them nobody knows. */
const asksForWater = ({ limits }: FrozenPlan): boolean =>
  limits === undefined || limits.waterDepth !== undefined || limits.rainfastHours !== undefined

function drySteps(frozen: FrozenPlan, progress: RunProgress): readonly RunStep[] {
  const { request, plan, worked } = frozen
  const [total] = plan.totals.products
  if (request.method.kind !== 'spread' || !total) return []
  const passes = worked?.passes ?? request.method.passes
  if (plan.rates) {
    return plan.rates.flatMap(({ areas, size, products: [own] }, i): readonly RunStep[] => [
      ...(own
        ? [
            {
              id: `weigh-${i + 1}`,
              kind: 'weigh' as const,
              load: i + 1,
              productId: own.id,
              wanted: own.measured,
              forGround: own.measured,
              size: squareMetres(areaSi(size)),
              areas,
            },
          ]
        : []),
      ...Array.from({ length: passes }, (_, pass): RunStep => ({
        id: `pass-${i + 1}-${pass + 1}`,
        kind: 'pass',
        pass: pass + 1,
        passes,
        from: 0,
        to: 1,
        load: i + 1,
      })),
    ])
  }
  const wanted = worked?.hopper?.weighIn ?? total.charge ?? total.measured
  const forGround = worked?.hopper?.measured ?? total.measured
  const weigh: RunStep = {
    id: 'weigh',
    kind: 'weigh',
    load: 0,
    productId: total.id,
    wanted,
    forGround,
    size: squareMetres(areaSi(plan.totals.size)),
    areas: request.areas.map(({ id }) => id),
  }
  const points = worked?.light
    ? lightPoints(passes, wanted, forGround, progress)
    : placesOf(worked?.checkpoints ?? [], wanted, forGround, passes)
  const asked = points.length > 0 ? points : [{ pass: 1, share: 1, lawn: '', should: undefined }]
  // Light passes are weighed after each round anyhow.
  const all = worked?.light
    ? asked
    : asked.flatMap((place, i) => [...weighedAgain(frozen, progress, asked[i - 1], place), place])
  const last = Math.max(...all.map(({ pass }) => pass))
  return [
    weigh,
    ...all.flatMap(({ pass, share, lawn, should }, i): readonly RunStep[] => {
      const before = all[i - 1]
      const from = before?.pass === pass ? before.share : 0
      const walked: RunStep = {
        id: `pass-${pass}-${Math.round(from * 1000)}`,
        kind: 'pass',
        pass,
        passes: last,
        from,
        to: share,
        load: 0,
      }
      // What is left at the very end is the outcome itself.
      return pass === last && share > 1 - ROUNDING && should !== undefined
        ? [walked]
        : [
            walked,
            { id: `check-${pass}-${Math.round(share * 1000)}`, kind: 'check', pass, share, lawn, should },
          ]
    }),
    ...lightSteps(frozen, progress),
  ]
}

/** What the last rest before a place says; undefined where none was found. */
function saidBefore(
  frozen: FrozenPlan,
  progress: RunProgress,
  done: number,
): { readonly entry: CheckedEntry; readonly result: CheckpointResult } | undefined {
  const entry = progress.checked.findLast((one) => doneAt(one) < done - ROUNDING)
  const question = entry && askCheckpoint(frozen, progress, entry)
  const result = question && checkpointResult(question)
  return entry && result && { entry, result }
}

/** A large change is weighed once more after a tenth of the pass, where no checkpoint comes before. */
function weighedAgain(
  frozen: FrozenPlan,
  progress: RunProgress,
  before: Place | undefined,
  next: Place,
): readonly Place[] {
  const said = saidBefore(frozen, progress, doneAt(next))
  const again = said?.result.weighAgainAt
  if (!said || said.result.answer !== 'correct' || again === undefined) return []
  if ((before && doneAt(before) >= again) || again >= doneAt(next) - NEAR || doneAt(said.entry) >= again)
    return []
  const share = again - (next.pass - 1)
  return share > ROUNDING ? [{ pass: next.pass, share, lawn: '', should: undefined }] : []
}
/** Nobody weighs twice within so little of a pass. */
const NEAR = 0.05

/** Ground behind that lacks more than a tenth, and has room for it, is offered a light pass. */
function lightSteps(frozen: FrozenPlan, progress: RunProgress): readonly RunStep[] {
  const passes = frozen.worked?.passes ?? 1
  const said = frozen.worked?.light ? undefined : saidBefore(frozen, progress, passes + NEAR)
  return (said?.result.lacking ?? [])
    .filter(({ room }) => room === 'yes')
    .map((lacking) => ({ id: `light-${Math.round(lacking.from * 1000)}`, kind: 'light', lacking }))
}

interface Place {
  readonly pass: number
  readonly share: number
  readonly lawn: string
  readonly should: Quantity<AmountUnit> | undefined
}

/** Where a plan's checkpoints lie in their pass: what should be gone says so. */
const placesOf = (
  points: NonNullable<FrozenPlan['worked']>['checkpoints'],
  wanted: Quantity<AmountUnit>,
  forGround: Quantity<AmountUnit>,
  passes: number,
): readonly Place[] =>
  points.map(({ pass, lawn, left, at }) => ({
    pass,
    share: at === 'end' ? 1 : ((wanted.value - left.value) * passes) / forGround.value - (pass - 1),
    lawn,
    should: left,
  }))

/** More rounds than these are a setting too low to work with. */
const MOST_ROUNDS = 20

/** Light passes until it is out: as many as were planned, or as what is left asks for by now. */
function lightPoints(
  planned: number,
  wanted: Quantity<AmountUnit>,
  forGround: Quantity<AmountUnit>,
  { checked, measured }: RunProgress,
): readonly Place[] {
  const put = measured.find(({ load }) => load === 0)?.amount ?? wanted
  const reserve = (wanted.value - forGround.value) * amountFactor(wanted.unit)
  const inKilograms = ({ value, unit }: Quantity<AmountUnit>) => value * amountFactor(unit)
  const last = checked.at(-1)
  const before = checked.at(-2)?.left ?? put
  const more = last
    ? passesToCome(inKilograms(last.left) - reserve, inKilograms(before) - inKilograms(last.left)).passes
    : 0
  const rounds = last ? Math.ceil(doneAt(last) - ROUNDING) + more : planned
  return Array.from({ length: Math.min(MOST_ROUNDS, Math.max(1, rounds)) }, (_, i) => ({
    pass: i + 1,
    share: 1,
    lawn: '',
    should: undefined,
  }))
}

function wetSteps(frozen: FrozenPlan, progress: RunProgress): readonly RunStep[] {
  const { request, plan, common } = frozen
  const shared = commonLoads(frozen, progress.tank?.found)
  if (common && shared) return commonSteps(common, shared, progress)
  return sprayedOff(
    loadsNow(request, plan.loads, progress).map(({ load, corrected }) => ({ load, here: load, corrected })),
    progress,
    'this job',
  )
}

/** What the tank holds is asked first, and goes out before anything is mixed. */
function commonSteps(
  common: CommonStop,
  { carried, mixed, answer }: CommonLoads,
  progress: RunProgress,
): readonly RunStep[] {
  const loads = [
    ...(carried ? [{ ...carried, corrected: 'carried' as const }] : []),
    ...mixed.map((load) => ({
      ...load,
      corrected: answer === 'put right' ? ('yes' as const) : ('no' as const),
    })),
  ].map(({ load, here, corrected }) => ({ load, here: { ...load, size: here }, corrected }))
  return [
    ...(common.from ? [{ id: 'tank', kind: 'tank' as const, common }] : []),
    ...sprayedOff(loads, progress, 'the day'),
  ]
}

interface LoadNow {
  readonly load: LoadPlan
  /** The same, with the ground of this site it is for. */
  readonly here: LoadPlan
  /** `carried`: it was mixed elsewhere. */
  readonly corrected: 'yes' | 'no' | 'carried'
}

/** Each load mixed and sprayed; between two of them the ground is asked that the first covered. */
function sprayedOff(
  all: readonly LoadNow[],
  { covered }: RunProgress,
  numberedBy: 'this job' | 'the day',
): readonly RunStep[] {
  let behind = 0
  const loads = numberedBy === 'this job' ? all.length : undefined
  const anew: 'yes' | 'no' = numberedBy === 'this job' ? 'yes' : 'no'
  return all.flatMap(({ load, here, corrected }, i): readonly RunStep[] => {
    const isLast = i === all.length - 1
    const spray: RunStep = {
      id: `spray-${load.number}`,
      kind: 'spray',
      load: here,
      loads,
      behind: squareMetres(behind),
      then: isLast ? 'rest' : 'cover',
    }
    const found = covered.find((entry) => entry.load === load.number)?.covered
    behind += areaSi(found ?? here.size)
    return [
      ...(corrected === 'carried'
        ? []
        : [{ id: `mix-${load.number}`, kind: 'mix' as const, load, loads, corrected }]),
      spray,
      ...(isLast ? [] : [{ id: `cover-${load.number}`, kind: 'cover' as const, load: here, loads, anew }]),
    ]
  })
}

/** Loads as they are to be mixed now: those that are out as planned, those to come as corrected. */
function loadsNow(
  request: FrozenPlan['request'],
  planned: readonly LoadPlan[],
  progress: RunProgress,
): readonly { readonly load: LoadPlan; readonly corrected: 'yes' | 'no' }[] {
  let loads = planned.map((load): { load: LoadPlan; corrected: 'yes' | 'no' } => ({ load, corrected: 'no' }))
  for (const { load: number, take } of progress.covered) {
    const answer =
      take === 'mix'
        ? loadsToCome(
            request,
            loadsDone(
              loads.map(({ load }) => load),
              progress,
              number,
            ),
          )
        : undefined
    if (!answer) continue
    loads = [
      ...loads.slice(0, number),
      ...answer.loads.map((load, i) => ({
        load: { ...load, number: number + i + 1 },
        corrected: 'yes' as const,
      })),
    ]
  }
  return loads
}

/**
 * Loads that are out, up to one of them, as they went: the spray that was mixed less what stays in the hose,
 * with the product that was really measured.
 */
export function loadsDone(
  loads: readonly LoadPlan[],
  { covered, measured }: RunProgress,
  upTo: number,
): readonly LoadDone[] {
  return covered
    .filter(({ load }) => load <= upTo)
    .flatMap((entry): readonly LoadDone[] => {
      const load = loads.find(({ number }) => number === entry.load)
      if (!load) return []
      const products = load.products.map((product) => ({
        ...product,
        measured:
          measured.find((one) => one.load === entry.load && one.productId === product.id)?.amount ??
          product.measured,
      }))
      return [{ sprayed: load.carrier, products, covered: areaSi(entry.covered) }]
    })
}

/** The step in hand: the one behind the furthest that is done. */
export function stepInHand(steps: readonly RunStep[], { steps: done }: RunProgress): RunStep | undefined {
  const furthest = steps.findLastIndex(({ id }) => done.includes(id))
  return steps[Math.min(steps.length - 1, furthest + 1)]
}

/** How much of the run is behind, 0 to 1. */
export function shareDone(steps: readonly RunStep[], { steps: done }: RunProgress): number {
  const furthest = steps.findLastIndex(({ id }) => done.includes(id))
  return steps.length > 0 ? (furthest + 1) / steps.length : 0
}
