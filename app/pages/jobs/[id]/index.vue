<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import { workDay } from '#core/calendar/workDay'
import { isReady, workOutJob } from '#core/job/workOutJob'
import type { JobDraft } from '~/composables/job/useJobDraft'

/** One job: its applications, one of them open, saved as it is typed. */
const route = useRoute()
const id = String(route.params.id)
const crew = useCrewStore()
const own = useSelfStore()
const library = useLibraryStore()
const notice = useNotice()
const { draft, stored, saveState, loadProblem, load, change, save, keepMine, takeTheirs, forget } =
  useJobDraft(id)
await load()
// What the job was copied from is looked up behind it: the sheet stands without it.
void Promise.all([library.load(), library.loadAreas(draft.value?.siteId ?? null, id)]).catch(() => undefined)
const title = computed(() => `${draft.value?.site || 'New job'} · Hectarum`)
useHead({ title })

const state = computed(() =>
  stored.value?.state === 'running' || stored.value?.state === 'done'
    ? stored.value.state
    : (draft.value?.state ?? 'draft'),
)
const states = computed(() =>
  (draft.value?.applications ?? []).map(
    ({ id: applicationId }) =>
      stored.value?.applications.find((one) => one.id === applicationId)?.state ?? 'planned',
  ),
)
/** What was frozen of applications whose run began, by their ids. */
const frozenPlans = computed(() =>
  Object.fromEntries((stored.value?.applications ?? []).map((one) => [one.id, one.frozen])),
)
const last = computed(() => (draft.value?.applications.length ?? 1) - 1)
const index = computed(() => Math.max(0, Math.min(last.value, Number(route.query.a ?? 1) - 1 || 0)))
const inHand = computed(() => draft.value?.applications[index.value]?.id ?? '')
const { start } = useRun(() => ({ applicationId: inHand.value, jobId: id, site: draft.value?.site ?? '' }))
const freezeHere = useFreezeHere()
const choose = (at: number) => navigateTo({ query: at === 0 ? {} : { a: at + 1 } })

async function plan() {
  change({ state: 'planned' })
  await save()
  if (saveState.value.kind === 'saved')
    return notice.say(`Planned for ${dayText(draft.value?.plannedFor ?? '')}`)
  if (saveState.value.kind !== 'kept' || saveState.value.until !== 'changed') return
  // Refused: the sheet stays a draft, so that what is typed goes on being saved.
  notice.say('Not planned.', saveState.value.why)
  change({ state: 'draft' })
}

async function run() {
  // Who only carries out what others planned has nothing to save.
  if (state.value !== 'running' && own.may('work')) {
    await save()
    const { value: saving } = saveState
    // Without a network the run begins from what is kept here.
    if (saving.kind !== 'saved' && !(saving.kind === 'kept' && saving.until === 'reached')) return
  }
  try {
    await start(async () => draft.value && freezeHere(draft.value, inHand.value))
    await navigateTo(`/jobs/${id}/run?a=${index.value + 1}`)
  } catch (error) {
    notice.say('The run was not started.', errorText(error))
  }
}

/**
 * A planned job that is changed into something that can't be worked out goes back to a draft, so that it can
 * still be saved.
 */
function take(fields: Partial<JobDraft>) {
  change(fields)
  if (
    saveState.value.kind !== 'conflict' &&
    draft.value?.state === 'planned' &&
    fields.applications &&
    !workOutJob({
      applications: fields.applications,
      day: workDay(draft.value.plannedFor, crew.today()),
    }).every(isReady)
  )
    change({ state: 'draft' })
}

async function add() {
  if (!draft.value) return
  const fresh = blankJobApplication(crew.units)
  const areas = draft.value.applications[index.value]?.document.lawns ?? fresh.document.lawns
  take({
    applications: [...draft.value.applications, { ...fresh, document: { ...fresh.document, lawns: areas } }],
  })
  await choose(draft.value.applications.length - 1)
}
async function move(from: number, to: number) {
  const before = draft.value?.applications ?? []
  if (!before[from] || to < 0 || to >= before.length) return
  change({ applications: [...moved(before, from, to)] })
  notice.say(`It is carried out as number ${to + 1} now.`, undefined, {
    label: 'Undo',
    act: () => change({ applications: before }),
  })
  await choose(to)
}
async function drop() {
  const before = draft.value?.applications ?? []
  take({ applications: before.filter((_, at) => at !== index.value) })
  notice.say('The application is removed.', undefined, {
    label: 'Undo',
    act: () => change({ applications: before }),
  })
  await choose(Math.max(0, index.value - 1))
}

async function remove() {
  const version = stored.value?.version
  await forget()
  try {
    if (version !== undefined) await tell('DELETE', `/jobs/${id}`, { version })
  } catch (error) {
    return notice.say('Not deleted.', errorText(error))
  }
  await navigateTo('/jobs')
  if (version === undefined) return
  notice.say('The job is deleted.', undefined, {
    label: 'Undo',
    act: async () => {
      await tell('POST', `/jobs/${id}/restore`)
      await navigateTo(`/jobs/${id}`)
    },
  })
}
const frozen = computed(() =>
  saveState.value.kind === 'conflict' && ['running', 'done'].includes(saveState.value.theirs?.state ?? '')
    ? 'This job has been started elsewhere: its plan is frozen, so your changes can’t go in.'
    : undefined,
)
</script>

<template>
  <JobSheet
    v-if="draft"
    :id="id"
    :key="draft.applications[index]?.id"
    :read="() => draft!"
    :index="index"
    :state="state"
    :states="states"
    :frozen="frozenPlans"
    :save-state="saveState"
    @change="take"
    @plan="plan"
    @run="run"
    @remove="remove"
    @choose="choose"
    @add="add"
    @move="move"
    @drop="drop"
  >
    <LazyConflictBar
      v-if="saveState.kind === 'conflict'"
      what="job"
      :mine="draft"
      :theirs="saveState.theirs"
      :frozen="frozen"
      @keep="keepMine"
      @take="takeTheirs"
    />
  </JobSheet>
  <EmptyState v-else :words="loadProblem ?? 'Opening …'" action="See all jobs" to="/jobs" />
</template>
