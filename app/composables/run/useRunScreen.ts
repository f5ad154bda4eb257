import type { InjectionKey } from 'vue'
import type { ApplicationDraft } from '#core/draft/applicationShape'
import type { RunRecord } from '#core/run/foldRun'
import type { RunProgress } from '#core/run/progress'
import type { FrozenPlan } from '#core/run/runEvent'
import { runSteps, shareDone, stepInHand, type RunStep } from '#core/run/steps/runSteps'
import type { EventBody } from './useRun'

/** The run in hand: its steps, the one that is open, and how something is written down. */
export interface RunScreen {
  readonly jobId: string
  readonly applicationId: string
  /** Number of the application in its visit, from 1. */
  readonly place: number
  readonly siteId: string | null
  readonly document: ComputedRef<ApplicationDraft>
  readonly record: ComputedRef<RunRecord>
  readonly frozen: ComputedRef<FrozenPlan>
  readonly progress: ComputedRef<RunProgress>
  readonly steps: ComputedRef<readonly RunStep[]>
  readonly step: ComputedRef<RunStep>
  readonly share: ComputedRef<number>
  /** Writes something down; the step stays open. */
  readonly keep: (bodies: readonly EventBody[]) => Promise<void>
  /** Writes something down with the step, and opens the next. */
  readonly done: (bodies?: readonly EventBody[]) => Promise<void>
  readonly back: () => void
  readonly open: (id: string) => void
}

const key: InjectionKey<RunScreen> = Symbol('run')

interface RunScreenOptions extends Pick<
  RunScreen,
  'jobId' | 'applicationId' | 'place' | 'siteId' | 'document' | 'record'
> {
  readonly write: (bodies: readonly EventBody[]) => Promise<unknown>
}

/** Opens the run at the step in hand; which one is looked at stands in the address. */
export function provideRunScreen({ write, ...of }: RunScreenOptions): RunScreen {
  const route = useRoute()
  const notice = useNotice()
  const frozen = computed(() => of.record.value.frozen)
  const progress = computed(() => of.record.value.progress)
  const steps = computed(() => runSteps(frozen.value, progress.value))
  const step = computed(
    () =>
      steps.value.find(({ id }) => id === route.query.step) ??
      stepInHand(steps.value, progress.value) ??
      steps.value[0]!,
  )
  const at = () => steps.value.findIndex(({ id }) => id === step.value.id)

  function open(id: string) {
    void navigateTo({ query: { ...route.query, step: id } }, { replace: true })
    if (import.meta.client) window.scrollTo({ top: 0 })
  }
  async function keep(bodies: readonly EventBody[]) {
    try {
      await write(bodies)
    } catch (error) {
      // What could not be written down must not look as if it were.
      notice.say(
        'This device could not keep that: its storage is full or closed to this page.',
        'Free some room, or write it on paper; it stands in the form until you leave it.',
        undefined,
        'stays',
      )
      throw error
    }
  }
  async function done(bodies: readonly EventBody[] = []) {
    const { id } = step.value
    await keep([...bodies, { kind: 'stepped', payload: { step: id, done: 'yes' } }])
    forgetTyped(of.applicationId, id)
    const next = steps.value[steps.value.findIndex((one) => one.id === id) + 1]
    if (next) open(next.id)
  }
  const back = () => {
    const before = steps.value[at() - 1]
    if (before) open(before.id)
  }
  const screen: RunScreen = {
    ...of,
    frozen,
    progress,
    steps,
    step,
    share: computed(() => shareDone(steps.value, progress.value)),
    keep,
    done,
    back,
    open,
  }
  provide(key, screen)
  return screen
}

export function useRunScreen(): RunScreen {
  const screen = inject(key)
  if (!screen) throw new Error('no run is provided above this component')
  return screen
}
