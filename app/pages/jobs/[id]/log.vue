<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { licenceOf } from '#core/people/licence'
import { knownDetails } from '#core/run/knownDetails'
import type { Quantity } from '#core/quantity/quantity'
import type { VolumeUnit } from '#core/quantity/units'
import type { Job } from '#shared/schemas/job'

/** After the run: what was weighed back, where, by whom; it becomes the record. */
const route = useRoute()
const id = String(route.params.id)
const job = ref<Job>()
const application = computed(
  () => job.value?.applications[Number(route.query.a ?? 1) - 1] ?? job.value?.applications[0],
)
const { run, waiting, load, append, start } = useRun(() => ({
  applicationId: application.value?.id ?? '',
  jobId: id,
  site: job.value?.site ?? '',
}))
const freezeHere = useFreezeHere()
const library = useLibraryStore()
const problem = ref<string>()
const saving = ref(false)
/** Put on record from elsewhere while this form was open: what stands here is not in it. */
const overtaken = ref(false)
const notice = useNotice()
const crew = useCrewStore()
const own = useSelfStore()
/** What the site before left in the tank of a common mix. */
const carried = shallowRef<Quantity<VolumeUnit>>()

async function open() {
  try {
    job.value = await ask(questions.job(id))
    await load()
    const common = run.value?.record?.frozen.common
    if (common) carried.value = await leftBefore(common)
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
  newestBy.value = await ask(questions.newestRecord()).then(
    ({ rows }) => rows[0]?.by ?? '',
    () => '',
  )
const known = computed(() =>
  knownDetails(application.value?.document, job.value?.purpose ?? '', {
    by: own.person?.name ?? (lastBy.value || newestBy.value),
    licence: licenceOf(own.person, crew.organization?.licence ?? ''),
  }),
)
const record = computed(() => run.value?.record ?? undefined)

async function log(events: Parameters<typeof append>[0]) {
  saving.value = true
  const refused = await append(events)
  saving.value = false
  if (refused !== undefined) {
    await load()
    overtaken.value = run.value?.record?.state === 'done'
    if (!overtaken.value) notice.say('Not logged yet; what you typed is still here.', refused)
    return
  }
  for (const event of events) if (event.kind === 'finished') lastBy.value = event.payload.by
  if (waiting.value > 0)
    notice.say('Kept on this device.', 'It goes on record as soon as the server can be reached.')
  await navigateTo(
    waiting.value > 0 ? `/jobs/${id}/run?a=${route.query.a ?? 1}` : `/records/${application.value?.id}`,
  )
}

async function enterAfterwards() {
  try {
    await library.load()
    await start(async () => job.value && freezeHere(job.value, application.value?.id ?? ''), 'afterwards')
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
        :carried="carried"
        :document="application?.document"
        @log="log"
      />
    </template>
    <EmptyState
      v-else
      words="This job was not run step by step. Its plan is kept as it stands now beside what was done."
      action="Enter what was done"
      @act="enterAfterwards"
    />
  </main>
</template>
