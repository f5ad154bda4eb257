<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { learnedFromJob } from '#core/run/learnedFromJob'
import type { Job } from '#shared/schemas/job'
import { foldRun } from '#core/run/foldRun'
import { openWorkingBook } from '#core/working/working'
import type { Run } from '#shared/schemas/run'

/** One record: printable, correctable by additions, every figure with its working. */
const id = String(useRoute().params.id)
const stored = ref<Run>()
const problem = ref<string>()
const correcting = ref(false)
const keep = useKeepCalibration()
const crew = useCrewStore()
const own = useSelfStore()
const notice = useNotice()

async function open() {
  try {
    stored.value = await ask(questions.record(id))
    problem.value = undefined
  } catch (error) {
    problem.value = errorCode(error) === 'not-found' ? 'There is no such record.' : errorText(error)
  }
}
await open()
const record = computed(() => (stored.value ? foldRun(stored.value.events) : undefined))
useHead({ title: () => `Record · ${record.value?.frozen.site ?? ''}` })

useWorkingPages(
  () => {
    const book = openWorkingBook()
    if (stored.value) foldRun(stored.value.events, book)
    return [...book.pages(), ...(record.value?.frozen.plan.working ?? [])]
  },
  computed(() => (record.value ? frozenNames(record.value.frozen) : new Map())),
)

/** A job that was weighed or measured back at one dial and pace is a calibration of its machine. */
const job = shallowRef<Job>()
if (stored.value) job.value = await ask(questions.job(stored.value.jobId)).catch(() => undefined)
/** The next application of the visit that is not done yet, counted from one; 0 when there is none. */
const nextUp = computed(() => (job.value?.applications.findIndex(({ state }) => state !== 'done') ?? -1) + 1)
const calibration = computed(() => {
  const application = job.value?.applications.find((one) => one.id === stored.value?.applicationId)
  if (!application || !record.value) return undefined
  const { frozen, progress, used, outcomes, finishedAt, details } = record.value
  if (!used || !finishedAt) return undefined
  const learned = learnedFromJob({ frozen, progress, used, outcomes }, application.document, {
    day: calendarDay(finishedAt, crew.organization?.timeZone),
    by: details?.by ?? '',
    runId: () => uuid(),
  })
  return learned?.parts.length === 1 ? learned.parts[0] : undefined
})

const {
  load: loadRun,
  append,
  appendOnline,
} = useRun(() => ({
  applicationId: stored.value?.applicationId ?? id,
  jobId: stored.value?.jobId ?? '',
  site: record.value?.frozen.site ?? '',
}))
async function counterSign() {
  try {
    await loadRun()
    await appendOnline([{ kind: 'countersigned' }])
    await open()
  } catch (error) {
    notice.say('Not counter-signed.', errorText(error))
  }
}

/** Water, looks, photos and notes come after it. */
const adding = ref<'water' | 'look' | 'photo' | 'words'>()
const isAdding = computed({
  get: () => adding.value !== undefined,
  set: (shown) => {
    if (!shown) adding.value = undefined
  },
})
const ADDED = [
  ['look', 'Look at what it did', 'i-lucide-eye'],
  ['water', 'Watered in', 'i-lucide-droplets'],
  ['photo', 'Photo', 'i-lucide-camera'],
  ['words', 'Note', 'i-lucide-pencil'],
] as const
const additions = ADDED.map(([what, label, icon]) => ({
  label,
  icon,
  onSelect: async () => {
    await loadRun().catch(() => undefined)
    adding.value = what
  },
}))
/** Its place in the visit, from 1. */
const placeInVisit = computed(() => (job.value?.applications.findIndex((one) => one.id === id) ?? 0) + 1)
const files = computed(() => [
  {
    label: 'What follows, for a calendar',
    icon: 'i-lucide-calendar-plus',
    to: crewUrl(`/records/${id}/calendar`),
    external: true,
    download: true,
  },
  {
    label: 'Treated ground as GeoJSON',
    icon: 'i-lucide-map',
    to: crewUrl(`/records/export?format=geojson&ids=${id}`),
    external: true,
    download: true,
  },
  {
    label: 'Notice for the client',
    icon: 'i-lucide-printer',
    to: `/jobs/${stored.value?.jobId}/notice?a=${placeInVisit.value}`,
  },
])
const print = () => window.print()
useScreenCommands(() => [
  { id: 'print', label: 'Print', key: 'p', run: print },
  {
    id: 'correct',
    label: 'Correct this record',
    key: 'c',
    run: () => {
      correcting.value = true
    },
  },
])
</script>

<template>
  <main class="max-w-4xl px-6 py-4">
    <p class="no-print small mb-2 flex gap-4">
      <NuxtLink to="/records" class="way-out">All records</NuxtLink>
      <NuxtLink v-if="stored" :to="`/jobs/${stored.jobId}`" class="way-out">The job</NuxtLink>
    </p>
    <div class="no-print mb-4 flex flex-wrap gap-3">
      <UButton
        v-if="stored && nextUp > 0"
        color="primary"
        variant="solid"
        :label="`On to application ${nextUp}`"
        :to="`/jobs/${stored.jobId}?a=${nextUp}`"
      />
      <UButton
        v-if="calibration"
        label="Keep as a calibration"
        @click="keep(calibration.equipmentId, calibration.document)"
      />
      <UButton
        v-if="record?.awaitsCounterSign && own.may('work')"
        label="Counter-sign"
        color="primary"
        variant="solid"
        @click="counterSign"
      />
      <UDropdownMenu v-if="stored && own.may('run')" :items="additions">
        <UButton label="Add" icon="i-lucide-plus" />
      </UDropdownMenu>
      <UButton v-if="own.may('run')" label="Correct" @click="correcting = true" />
      <UDropdownMenu v-if="stored" :items="files">
        <UButton icon="i-lucide-ellipsis" aria-label="More with this record" />
      </UDropdownMenu>
      <UButton label="Print" color="primary" variant="solid" aria-keyshortcuts="p" @click="print" />
    </div>
    <RecordSheet v-if="record" :record="record" />
    <EmptyState v-else :words="problem ?? 'Opening …'" action="See all records" to="/records" />
    <LazyAfterNotes
      v-if="record && adding"
      v-model:open="isAdding"
      :what="adding"
      :append="append"
      @added="open"
    />
    <LazyCorrectionForm
      v-if="record && stored && correcting"
      v-model:open="correcting"
      :record="record"
      :application-id="stored.applicationId"
      @corrected="open"
    />
  </main>
</template>
