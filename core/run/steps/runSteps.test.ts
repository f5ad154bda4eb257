import fc from 'fast-check'
import { describe, expect, test } from 'vitest'
import { hopperCharge } from '../../plan/hopperCharge'
import { checkpoints } from '../../plan/checkpoints'
import { planApplication } from '../../plan/planApplication'
import type { PlanRequest } from '../../plan/planRequest'
import { areaSi, quantity } from '../../quantity/quantity'
import { foldRun } from '../foldRun'
import { foldProgress, NO_PROGRESS, type RunProgress } from '../progress'
import type { CarriedBody } from '../carriedShape'
import type { FrozenPlan, RunEvent } from '../runEvent'
import { runSteps, shareDone, stepInHand, type RunStep } from './runSteps'
import { shouldBeAt } from './shouldBeAt'
import { stepLanes } from './stepLanes'

function frozen(request: PlanRequest, worked: object = {}): FrozenPlan {
  const plan = planApplication(request)
  if (!plan.ok) throw new Error('the test plan does not plan')
  const hopper = hopperCharge(request, plan.value)
  const passes = request.method.kind === 'spread' ? request.method.passes : 1
  const lawns = request.areas.map(({ id, size }) => ({ name: id, size: areaSi(size) }))
  const points = hopper ? checkpoints(hopper.weighIn, hopper.measured, passes, lawns) : []
  return {
    coreVersion: '',
    site: 'Marlow Court',
    equipment: '',
    calibration: '',
    labels: [],
    request,
    plan: plan.value,
    worked: { passes, hopper, checkpoints: points, light: undefined, ...worked } as FrozenPlan['worked'] &
      object,
  }
}

const DRY = frozen({
  areas: [{ id: 'a', size: quantity(4000, 'ft2') }],
  products: [{ id: 'p', rate: quantity(3, 'lb/1000 ft2') }],
  method: { kind: 'spread', passes: 2, reserve: quantity(3, 'lb') },
})
const WET = frozen({
  areas: [{ id: 'a', size: quantity(40_000, 'ft2') }],
  products: [{ id: 'p', rate: quantity(0.5, 'fl oz/1000 ft2') }],
  method: {
    kind: 'spray',
    carrier: quantity(1.3, 'gal/1000 ft2'),
    tank: quantity(26, 'gal'),
    loads: 'full-then-part',
  },
})
const ids = (plan: FrozenPlan, progress: RunProgress = NO_PROGRESS) =>
  runSteps(plan, progress).map(({ id }) => id)

let counter = 0
const event = (body: CarriedBody, device = 'd1'): RunEvent => {
  counter += 1
  return {
    id: `e${counter}`,
    deviceId: device,
    sequence: counter,
    counter,
    at: `2026-05-06T12:00:00.000Z`,
    ...body,
  } as RunEvent
}

describe('steps', () => {
  test('a dry job is weighed, walked from checkpoint to checkpoint, weighed back and closed', () => {
    expect(ids(DRY)).toEqual([
      'gate',
      'weigh',
      'pass-1-0',
      'check-1-500',
      'pass-1-500',
      'check-1-1000',
      'pass-2-0',
      'check-2-500',
      'pass-2-500',
      'rest',
      'sweep',
      'water',
      'notice',
      'record',
    ])
    const check = runSteps(DRY, NO_PROGRESS).find(({ id }) => id === 'check-1-500')
    // 15 lb in the hopper, 12 for the lawn: a quarter of them is gone half way through the first of two.
    expect(check).toMatchObject({ should: { value: 12, unit: 'lb' } })
  })

  test('light passes go on until it is out: three pounds a round, twelve to lay', () => {
    const light = frozen(DRY.request, { light: { passes: 2, last: 1 } })
    const round = (pass: number, left: number) =>
      event({ kind: 'checked', payload: { pass, share: 1, left: quantity(left, 'lb'), way: 'weighed' } })
    expect(ids(light).filter((id) => id.startsWith('check'))).toHaveLength(2)
    const once = foldProgress([round(1, 12)])
    expect(ids(light, once).filter((id) => id.startsWith('check'))).toHaveLength(4)
    const out = foldProgress([round(1, 12), round(2, 8), round(3, 3)])
    expect(ids(light, out).filter((id) => id.startsWith('check'))).toHaveLength(3)
  })

  test('rates of their own are weighed apart', () => {
    const apart = frozen({
      ...DRY.request,
      areas: [
        { id: 'a', size: quantity(4000, 'ft2') },
        { id: 'b', size: quantity(1000, 'ft2'), rates: [{ id: 'p', rate: quantity(2, 'lb/1000 ft2') }] },
      ],
    })
    expect(ids(apart).slice(0, 7)).toEqual([
      'gate',
      'weigh-1',
      'pass-1-1',
      'pass-1-2',
      'weigh-2',
      'pass-2-1',
      'pass-2-2',
    ])
  })

  test('a load that covered less changes the loads behind it, where that was chosen', () => {
    expect(ids(WET).slice(0, 6)).toEqual(['gate', 'mix-1', 'spray-1', 'cover-1', 'mix-2', 'spray-2'])
    const covered = (take: 'mix' | 'plan') =>
      foldProgress([event({ kind: 'covered', payload: { load: 1, covered: quantity(18_000, 'ft2'), take } })])
    // 26 gal on 18 thousand: 22 thousand are left, 31.8 gal; two loads behind the first.
    expect(ids(WET, covered('mix')).filter((id) => id.startsWith('mix'))).toEqual(['mix-1', 'mix-2', 'mix-3'])
    expect(ids(WET, covered('plan')).filter((id) => id.startsWith('mix'))).toEqual(['mix-1', 'mix-2'])
    const second = runSteps(WET, covered('mix')).find(({ id }) => id === 'mix-2')
    expect(second).toMatchObject({ corrected: 'yes', load: { number: 2 } })
  })

  test('the step in hand is behind the furthest that is done; back and early ends included', () => {
    const after = (...done: readonly string[]) =>
      foldProgress(done.map((step) => event({ kind: 'stepped', payload: { step, done: 'yes' } })))
    expect(stepInHand(runSteps(DRY, NO_PROGRESS), NO_PROGRESS)?.id).toBe('gate')
    expect(stepInHand(runSteps(DRY, NO_PROGRESS), after('gate', 'weigh'))?.id).toBe('pass-1-0')
    expect(stepInHand(runSteps(DRY, NO_PROGRESS), after('gate', 'rest'))?.id).toBe('sweep')
    expect(shareDone(runSteps(DRY, NO_PROGRESS), after('gate', 'weigh'))).toBeCloseTo(2 / 14, 12)
    const undone = foldProgress([
      event({ kind: 'stepped', payload: { step: 'gate', done: 'yes' } }),
      event({ kind: 'stepped', payload: { step: 'gate', done: 'no' } }),
    ])
    expect(stepInHand(runSteps(DRY, NO_PROGRESS), undone)?.id).toBe('gate')
  })
})

/** Events as two devices could write them, each in its own order. */
const body: fc.Arbitrary<CarriedBody> = fc.oneof(
  fc.constantFrom('gate', 'weigh', 'pass-1-0').map((step) => ({
    kind: 'stepped' as const,
    payload: { step, done: 'yes' as const },
  })),
  fc.integer({ min: 1, max: 15 }).map((amount) => ({
    kind: 'measured' as const,
    payload: { load: 0, productId: 'p', amount: quantity(amount, 'lb') },
  })),
  fc.tuple(fc.constantFrom(0.5, 1), fc.integer({ min: 1, max: 14 })).map(([share, left]) => ({
    kind: 'checked' as const,
    payload: { pass: 1, share, left: quantity(left, 'lb'), way: 'weighed' as const },
  })),
  fc.constant({ kind: 'paused' as const, payload: { reason: 'rain' } }),
  fc.constant({ kind: 'resumed' as const, payload: {} }),
  fc.string().map((words) => ({ kind: 'noted' as const, payload: { words } })),
)
const stamped = (device: string) =>
  fc.array(fc.tuple(body, fc.integer({ min: 1, max: 40 })), { maxLength: 12 }).map((list) => {
    let last = 1
    return list.map(([one, step], i) => {
      last += step
      return {
        id: `${device} ${i}`,
        deviceId: device,
        sequence: i + 1,
        counter: last,
        at: '2026-05-06T12:00:00.000Z',
        ...one,
      } as RunEvent
    })
  })

test('two devices on one run come to the same, in whatever order and however often events arrive', () => {
  const planned = {
    ...event({ kind: 'noted', payload: { words: '' } }),
    kind: 'planned',
    payload: DRY,
    counter: 1,
  }
  fc.assert(
    fc.property(stamped('one'), stamped('two'), fc.infiniteStream(fc.nat()), (one, two, chance) => {
      const all = [planned as RunEvent, ...one, ...two]
      const mixed = [...all, ...one]
        .map((each) => ({ each, at: chance.next().value as number }))
        .toSorted((a, b) => a.at - b.at)
        .map(({ each }) => each)
      expect(foldRun(mixed)).toEqual(foldRun(all))
    }),
  )
})

test('of two entries for one place the later in order counts; every look at the gate stays', () => {
  const at = (count: number, device: string, one: CarriedBody) => ({ ...event(one, device), counter: count })
  const progress = foldRun([
    {
      ...event({ kind: 'noted', payload: { words: '' } }),
      kind: 'planned',
      payload: DRY,
      counter: 1,
    } as RunEvent,
    at(5, 'b', { kind: 'measured', payload: { load: 0, productId: 'p', amount: quantity(14, 'lb') } }),
    at(5, 'a', { kind: 'measured', payload: { load: 0, productId: 'p', amount: quantity(15, 'lb') } }),
  ])?.progress
  expect(progress?.measured).toEqual([{ load: 0, productId: 'p', amount: quantity(14, 'lb') }])
})

test('stopped a little before the checkpoint, as much more should be left as that ground takes', () => {
  const check = runSteps(DRY, NO_PROGRESS).find(({ id }) => id === 'check-1-500') as Extract<
    RunStep,
    { kind: 'check' }
  >
  // 4,000 ft2 at 3 lb take 12 lb in two passes: 6 lb a pass; 15 weighed in, 12 left after half of the first.
  expect(shouldBeAt(check, 0.5, DRY)?.value).toBeCloseTo(12, 9)
  // At 48 % it is 0.02 x 6 = 0.12 lb more; at 55 % 0.3 lb less.
  expect(shouldBeAt(check, 0.48, DRY)?.value).toBeCloseTo(12.12, 9)
  expect(shouldBeAt(check, 0.55, DRY)?.value).toBeCloseTo(11.7, 9)
  expect(shouldBeAt({ ...check, should: undefined }, 0.5, DRY)).toBeUndefined()
})

test('lanes of a load lie behind the ground that the load before really covered', () => {
  // 40,000 ft2 in ten lanes of a tenth each; a tank of 26 gal at 1.3 gal/1000 ft2 covers 20,000 of it.
  const lanes = Array.from({ length: 10 }, (_, i) => ({
    lawnId: 'a',
    name: '',
    pass: 1,
    lane: { number: i + 1, header: false, edge: false, line: [], length: 10 },
    amount: 1,
  }))
  const second = (progress: RunProgress) => {
    const step = runSteps(WET, progress).find(({ id }) => id === 'spray-2') as Extract<
      RunStep,
      { kind: 'spray' }
    >
    return stepLanes(lanes, step, WET).map(({ lane }) => lane.number)
  }
  expect(second(NO_PROGRESS)).toEqual([6, 7, 8, 9, 10])
  // It covered 16,000 only, and nothing was mixed anew: the second is the fifth lane to the ninth.
  const short = { load: 1, covered: quantity(16_000, 'ft2'), take: 'plan' as const, at: '' }
  expect(second({ ...NO_PROGRESS, covered: [short] })).toEqual([5, 6, 7, 8, 9])
})

test('a large change is weighed again after a tenth; ground that lacks gets a light pass at the end', () => {
  // 6 lb a pass, 15 weighed in. The second pass lets out half: 9 left before it, 7.5 left half way.
  const found = (pass: number, share: number, left: number) => ({
    pass,
    share,
    left: quantity(left, 'lb'),
    way: 'weighed' as const,
    at: '',
  })
  const first = found(1, 1, 9)
  const half = found(2, 0.5, 7.5)
  const behind = { ...NO_PROGRESS, checked: [first, half] }
  const steps = runSteps(DRY, behind)
  // Twice the flow for the rest: weighed again after a tenth, at 0.6 of the second pass.
  expect(steps.map(({ id }) => id)).toContain('check-2-600')
  const light = steps.find((one) => one.kind === 'light')
  // Half the ground, 2,000 ft2, lacks 1.5 of the 6 lb meant there.
  expect(light).toMatchObject({ id: 'light-0', lacking: { from: 0, to: 0.5, room: 'yes' } })
  expect(light?.kind === 'light' && light.lacking.share).toBeCloseTo(0.25, 9)
  expect(light?.kind === 'light' && light.lacking.amount / 0.45359237).toBeCloseTo(1.5, 9)
  // Before what is left is weighed: it comes out of the same hopper.
  expect(steps.findIndex(({ kind }) => kind === 'light')).toBe(steps.findIndex(({ id }) => id === 'rest') - 1)
  expect(ids(DRY, { ...NO_PROGRESS, checked: [first, found(2, 0.5, 6.2)] })).not.toContain('light-0')
})
