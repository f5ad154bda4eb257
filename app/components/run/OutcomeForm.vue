<script setup lang="ts">
import type { ApplicationDraft } from '#core/draft/applicationShape'
import type { Quantity } from '#core/quantity/quantity'
import type { VolumeUnit } from '#core/quantity/units'
import type { RunRecord } from '#core/run/foldRun'
import type { RunDetails } from '#core/run/runEvent'
import type { NewRunEvent } from '#shared/schemas/run'
import type { EventBody } from '~/composables/run/useRun'

/** What was used, where, by whom: large fields for cold fingers, the verdict as soon as it is known. */
const props = defineProps<{
  record: RunRecord
  jobId: string
  saving: boolean
  known: RunDetails
  /** What the site before left in the tank of a common mix. */
  carried?: Quantity<VolumeUnit>
  /** The application as it is planned: what its machine can learn. */
  document?: ApplicationDraft
}>()
const emit = defineEmits<{ log: [events: readonly EventBody[]] }>()
const crew = useCrewStore()
const outcome = useOutcome(props.record, props.carried)
const { read, pages } = outcome
useWorkingPages(
  pages,
  computed(() => frozenNames(props.record.frozen)),
)
const details = shallowRef<RunDetails>(props.known)
const times = useDoneTimes()
const learned = useLearned(
  () => props.record,
  () => read.value.used,
  () => read.value.outcomes,
  () => props.document,
)
const tried = ref(false)

onMounted(() => document.querySelector<HTMLElement>('[data-path="left"]')?.focus())

const look = (path: string | undefined) =>
  document.querySelector<HTMLElement>(`[data-path="${path}"]`)?.focus()
function submit() {
  tried.value = true
  const { entered, outcomes } = read.value
  const { entered: when, problems: wrongTimes } = times.read.value
  if (!entered || outcomes.length === 0) {
    const [path] = Object.keys(read.value.problems)
    return look(path)
  }
  const [wrongTime] = Object.keys(wrongTimes)
  if (wrongTime) return look(`done.${wrongTime}`)
  emit('log', [
    { kind: 'used', payload: entered as Extract<NewRunEvent, { kind: 'used' }>['payload'] },
    ...(when ? [{ kind: 'timed' as const, payload: when }] : []),
    { kind: 'finished', payload: details.value },
    ...(learned.takes.value ? [{ kind: 'calibrates' as const, payload: {} }] : []),
  ])
}
useScreenCommands(() => [{ id: 'log', label: 'Put it on record', key: 'ctrl+enter', run: submit }])
</script>

<template>
  <form class="space-y-4" @submit.prevent="submit">
    <header class="rule-b pb-2">
      <h1>Log the outcome</h1>
      <p class="soft">
        {{ record.frozen.site
        }}<template v-if="!record.frozen.afterwards">
          · started {{ instantText(record.startedAt ?? crew.now(), crew.organization?.timeZone) }}</template
        >
      </p>
    </header>
    <p v-if="record.frozen.common" class="small">
      One mix for several sites: what came along and what was mixed here stands below. Only what was used is
      booked to this site.
    </p>
    <OutcomeFields :outcome="outcome" :frozen="record.frozen" :tried="tried" />
    <OutcomeVerdicts v-if="read.outcomes.length > 0" :outcomes="read.outcomes" :frozen="record.frozen" />
    <DoneTimes :times="times" :asked="record.frozen.afterwards === true" />
    <DetailFields :details="details" @change="details = $event" />
    <TickField
      v-if="learned.learned.value"
      :label="learned.words.value"
      :ticked="learned.takes.value"
      @change="learned.takes.value = $event"
    />
    <div class="flex gap-3">
      <UButton
        type="submit"
        label="Put it on record"
        color="primary"
        variant="solid"
        size="lg"
        :loading="saving"
        aria-keyshortcuts="Control+Enter"
      />
      <UButton label="Back to the job" size="lg" :to="`/jobs/${jobId}`" />
    </div>
    <p class="soft small">
      Keep people and pets off as the label says. Rinse three times onto treated ground; sweep granules off
      hard surfaces.
    </p>
  </form>
</template>
