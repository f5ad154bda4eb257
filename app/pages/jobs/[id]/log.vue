<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { knownDetails } from '#core/run/knownDetails'
import type { RecordPage } from '#shared/schemas/run'
import type { MixBooking } from '#core/job/route/mixBooking'
import type { Job } from '#shared/schemas/job'

/** After the run: what was weighed back, where, by whom; it becomes the record. */
const route = useRoute()
const id = String(route.params.id)
const job = ref<Job>()
const application = computed(
  () => job.value?.applications[Number(route.query.a ?? 1) - 1] ?? job.value?.applications[0],
)
const { run, load, append, start } = useRun(() => application.value?.id ?? '')
const problem = ref<string>()
const saving = ref(false)
/** Put on record from elsewhere while this form was open: what stands here is not in it. */
const overtaken = ref(false)
const notice = useNotice()
const crew = useCrewStore()
const own = useSelfStore()
const booking = shallowRef<MixBooking>()

async function open() {
  try {
    job.value = await $fetch<Job>(crewUrl(`/jobs/${id}`))
    await load()
    const document = application.value?.document
    if (document?.method === 'spray' && document.spray.shared === 'day' && job.value.plannedFor)
      booking.value = await bookingFor(job.value.plannedFor, application.value?.id ?? '')
    problem.value = undefined
  } catch (error) {
    problem.value = errorText(error)
  }
}
await open()
/** A form that is open stays, with what was typed in it, whatever happens to the run elsewhere. */
const doneBefore = run.value?.record?.state === 'done'
useHead({ title: () => `Log the outcome · ${job.value?.site ?? ''}` })
/** Whoever logged last on this device; else whoever is on the newest record. */
const lastBy = useLocalStorage(`hectarum-by:${crew.organization?.id ?? ''}`, '')
const newestBy = ref('')
if (lastBy.value === '')
  newestBy.value = await $fetch<RecordPage>(crewUrl('/records'), { query: { limit: 1 } }).then(
    ({ rows }) => rows[0]?.by ?? '',
    () => '',
  )
const known = computed(() =>
  knownDetails(application.value?.document, job.value?.purpose ?? '', {
    by: own.person?.name ?? (lastBy.value || newestBy.value),
    licence: own.person?.licence || (crew.organization?.licence ?? ''),
  }),
)
const record = computed(() => run.value?.record ?? undefined)

async function log(events: Parameters<typeof append>[0]) {
  saving.value = true
  try {
    await append(events)
    for (const event of events) if (event.kind === 'finished') lastBy.value = event.payload.by
    await navigateTo(`/records/${application.value?.id}`)
  } catch (error) {
    overtaken.value = errorCode(error) === 'locked'
    if (!overtaken.value) notice.say('Not logged yet; what you typed is still here.', errorText(error))
  } finally {
    saving.value = false
  }
}

async function startNow() {
  try {
    await start()
  } catch (error) {
    problem.value = errorText(error)
  }
}
</script>

<template>
  <main class="mx-auto max-w-3xl px-5 py-5">
    <EmptyState v-if="problem" :words="problem" action="Back to the job" :to="`/jobs/${id}`" />
    <template v-else-if="doneBefore">
      <EmptyState
        words="This run is on record already."
        action="See the record"
        :to="`/records/${application?.id}`"
      />
    </template>
    <template v-else-if="record">
      <UAlert
        v-if="overtaken"
        role="alert"
        class="mb-3"
        color="warning"
        variant="subtle"
        title="This run went on record from another page while you typed."
        description="What stands below is not in it: compare them, and correct the record if this is right."
        :actions="[{ label: 'See the record', to: `/records/${application?.id}` }]"
      />
      <OutcomeForm
        :record="record"
        :job-id="id"
        :saving="saving"
        :known="known"
        :booking="booking"
        @log="log"
      />
    </template>
    <EmptyState
      v-else
      words="This job has not been started: its plan is frozen when the run begins."
      action="Start the run now"
      @act="startNow"
    />
  </main>
</template>
