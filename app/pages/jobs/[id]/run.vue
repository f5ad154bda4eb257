<script setup lang="ts">
import { useWakeLock } from '@vueuse/core'
import { isPaused } from '#core/run/progress'
import type { Job } from '#shared/schemas/job'

/** The run: one step a screen, everything kept on this device first. */
definePageMeta({ bare: true })
const route = useRoute()
const id = String(route.params.id)
const library = useLibraryStore()
const crew = useCrewStore()
const outbox = useOutboxStore()
const job = shallowRef<Job>()
const problem = ref<string>()
const place = Math.max(1, Number(route.query.a ?? 1) || 1)
const application = computed(() => job.value?.applications[place - 1] ?? job.value?.applications[0])
const { record, waiting, refused, load, keep, start } = useRun(() => ({
  applicationId: application.value?.id ?? '',
  jobId: id,
  site: job.value?.site ?? '',
}))
const freezeHere = useFreezeHere()

async function open() {
  try {
    job.value = await ask(questions.job(id))
    await load()
    problem.value = undefined
  } catch (error) {
    problem.value = errorText(error)
    return
  }
  // Curve, labels and zones come beside it: the run goes on without them.
  await Promise.all([library.load(), library.loadAreas(job.value.siteId, id)]).catch(() => undefined)
}
await open()
useHead({ title: () => `Run · ${job.value?.site ?? ''}` })

const document = computed(() => application.value!.document)
const screen = application.value && record.value ? openScreen(application.value.id) : undefined
function openScreen(applicationId: string) {
  provideSheet({
    applications: () => job.value?.applications ?? [],
    index: () => place - 1,
    change: () => undefined,
    locked: () => true,
    plannedFor: () => job.value?.plannedFor ?? '',
    frozen: () => record.value?.frozen,
  })
  return provideRunScreen({
    jobId: id,
    applicationId,
    place,
    siteId: job.value?.siteId ?? null,
    document,
    record: computed(() => record.value!),
    write: keep,
  })
}
const step = computed(() => screen?.step.value)
const note = ref<RunNoteKind>()
const noting = computed({
  get: () => note.value !== undefined,
  set: (open) => {
    if (!open) note.value = undefined
  },
})
const paused = computed(() => record.value !== undefined && isPaused(record.value.progress))
const since = computed(() => record.value?.progress.pauses.at(-1)?.from)

async function startNow() {
  try {
    await start(async () => job.value && freezeHere(job.value, application.value?.id ?? ''))
    reloadNuxtApp()
  } catch (error) {
    problem.value = errorText(error)
  }
}

/** The screen stays on while somebody walks; without room nothing could be kept. */
const wake = useWakeLock()
const room = ref<string>()
onMounted(async () => {
  void wake.request('screen').catch(() => undefined)
  void outbox.send()
  await navigator.storage?.persist?.().catch(() => false)
  const { usage = 0, quota = 0 } = (await navigator.storage?.estimate?.()) ?? {}
  if (quota > 0 && usage > 0.9 * quota)
    room.value = 'This device is nearly full: free some room before the run, or entries may not be kept.'
})
onBeforeUnmount(() => void wake.release())
// Each step is read from its title on.
watch(
  () => step.value?.id,
  () => nextTick(() => window.document.querySelector<HTMLElement>('[data-step-title]')?.focus()),
)
</script>

<template>
  <main v-if="screen && record && step" class="run">
    <RunHead :waiting="waiting" :refused="refused.length" @note="note = $event" />
    <p v-if="room" role="alert" class="text-(--stop)">{{ room }}</p>
    <section v-if="paused" class="paused">
      <h1>Paused</h1>
      <p>since {{ instantText(since ?? crew.now(), crew.organization?.timeZone) }}</p>
      <UButton
        size="xl"
        color="primary"
        variant="solid"
        label="Carry on"
        data-main-action
        @click="keep([{ kind: 'resumed', payload: {} }])"
      />
    </section>
    <template v-else>
      <StepGate v-if="step.kind === 'gate'" />
      <StepWeigh v-else-if="step.kind === 'weigh'" :key="step.id" :step="step" />
      <StepPass v-else-if="step.kind === 'pass'" :key="step.id" :step="step" />
      <StepLight v-else-if="step.kind === 'light'" :key="step.id" :step="step" />
      <StepCheck v-else-if="step.kind === 'check'" :key="step.id" :step="step" />
      <StepTank v-else-if="step.kind === 'tank'" :step="step" />
      <StepMix v-else-if="step.kind === 'mix'" :key="step.id" :step="step" />
      <StepSpray v-else-if="step.kind === 'spray'" :key="step.id" :step="step" />
      <StepCover v-else-if="step.kind === 'cover'" :key="step.id" :step="step" />
      <StepRest v-else-if="step.kind === 'rest'" />
      <StepClean v-else-if="step.kind === 'sweep' || step.kind === 'rinse'" :key="step.id" :step="step" />
      <StepWater v-else-if="step.kind === 'water'" />
      <StepNotice v-else-if="step.kind === 'notice'" />
      <StepRecord v-else :purpose="job?.purpose ?? ''" />
    </template>
    <LazySpotNote v-if="note === 'spots'" v-model:open="noting" />
    <RunNote v-else-if="note" v-model:open="noting" :what="note" />
  </main>
  <EmptyState v-else-if="problem" :words="problem" action="Back to the job" :to="`/jobs/${id}`" />
  <EmptyState
    v-else
    words="This job has not been started: its plan is frozen when the run begins."
    action="Start the run now"
    @act="startNow"
  />
</template>

<style scoped>
.run {
  max-width: 620px;
  min-height: 100dvh;
  margin: 0 auto;
  padding: 0 18px;
  display: flex;
  flex-direction: column;
}
.paused {
  flex: 1;
  display: grid;
  align-content: center;
  gap: 18px;
  font-size: 20px;
}
.paused h1 {
  font-size: 44px;
}
.paused :deep(button) {
  min-height: 72px;
  justify-content: center;
  font-size: 20px;
}
</style>
