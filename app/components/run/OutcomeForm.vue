<script setup lang="ts">
import type { MixBooking } from '#core/job/route/mixBooking'
import type { RunRecord } from '#core/run/foldRun'
import type { RunDetails } from '#core/run/runEvent'
import { AREA_UNITS, MASS_UNITS, VOLUME_UNITS, type VolumeUnit } from '#core/quantity/units'
import { showQuantity } from '#core/quantity/systems'
import { rateLawns } from './rateLawns'
import type { NewRunEvent } from '#shared/schemas/run'

/** What was used, where, by whom: large fields for cold fingers, the verdict as soon as it is known. */
const props = defineProps<{
  record: RunRecord
  jobId: string
  saving: boolean
  known: RunDetails
  booking?: MixBooking
}>()
const emit = defineEmits<{ log: [events: Parameters<ReturnType<typeof useRun>['append']>[0]] }>()
const crew = useCrewStore()
const { entries, read, expectedLeft, wet, pages } = useOutcome(props.record, props.booking)
useWorkingPages(
  pages,
  computed(() => frozenNames(props.record.frozen)),
)
const details = shallowRef<RunDetails>(props.known)
const DETAILS = [
  ['by', 'Done by'],
  ['licence', 'Licence'],
  ['target', 'Target'],
  ['weather', 'Weather: wind, temperature, leaf'],
  ['remarks', 'Remarks'],
] as const
const tried = ref(false)
const shownProblem = (path: string) =>
  tried.value || !read.value.problems[path]?.endsWith('still missing.')
    ? read.value.problems[path]
    : undefined

onMounted(() => document.querySelector<HTMLElement>('[data-path="left"]')?.focus())

function submit() {
  tried.value = true
  const { used, outcomes } = read.value
  if (!used || outcomes.length === 0) {
    const [path] = Object.keys(read.value.problems)
    document.querySelector<HTMLElement>(`[data-path="${path}"]`)?.focus()
    return
  }
  emit('log', [
    { kind: 'used', payload: used as Extract<NewRunEvent, { kind: 'used' }>['payload'] },
    { kind: 'finished', payload: details.value },
  ])
}
useScreenCommands(() => [{ id: 'log', label: 'Put it on record', key: 'ctrl+enter', run: submit }])
</script>

<template>
  <form class="space-y-4" @submit.prevent="submit">
    <header class="rule-b pb-2">
      <h1>Log the outcome</h1>
      <p class="soft">
        {{ record.frozen.site }} · started
        {{ instantText(record.startedAt ?? crew.now(), crew.organization?.timeZone) }}
      </p>
    </header>
    <p v-if="booking" class="small">
      One mix for several sites: what was in the tank here stands below. What is left drives on, and only what
      was used is booked to this site.
    </p>
    <div class="fields items-end">
      <QuantityField
        path="left"
        :label="
          wet
            ? booking
              ? 'Spray left, to drive on'
              : 'Spray left in tank, hose and boom'
            : 'Left in the hopper'
        "
        kind="amount"
        :entered="entries.left"
        :units="wet ? VOLUME_UNITS : MASS_UNITS"
        :hint="
          expectedLeft
            ? `as planned: ${showQuantity(expectedLeft).figure} ${showQuantity(expectedLeft).unit}`
            : undefined
        "
        :problem="shownProblem('left')"
        @change="entries.left = $event"
      />
      <QuantityField
        path="treated"
        label="Lawn treated"
        kind="area"
        :entered="entries.treated"
        :units="AREA_UNITS"
        :problem="shownProblem('treated')"
        @change="entries.treated = $event"
      />
      <QuantityField
        v-if="wet"
        path="made"
        :label="booking ? 'Spray in the tank here, carried and made' : 'Spray made, all loads'"
        kind="volume"
        :entered="entries.made as { text: string; unit: VolumeUnit }"
        :units="VOLUME_UNITS"
        :problem="shownProblem('made')"
        @change="entries.made = $event"
      />
      <QuantityField
        v-for="put in entries.putIn"
        :key="put.productId"
        :path="`putIn.${put.productId}`"
        :label="wet ? `${put.name}, ${booking ? 'in all of it' : 'all loads'}` : `${put.name}, weighed in`"
        kind="amount"
        :entered="put.entered"
        :problem="shownProblem(`putIn.${put.productId}`)"
        @change="put.entered = $event"
      />
      <QuantityField
        v-for="(entered, i) in entries.apart"
        :key="i"
        :path="`apart.${i}`"
        :label="`Of it on ${rateLawns(record.frozen, i)}`"
        kind="amount"
        :entered="entered"
        :units="MASS_UNITS"
        :hint="
          i === entries.apart.length - 1 ? `the rest is on ${rateLawns(record.frozen, i + 1)}` : undefined
        "
        :problem="shownProblem(`apart.${i}`)"
        @change="entries.apart[i] = $event"
      />
    </div>
    <OutcomeVerdicts v-if="read.outcomes.length > 0" :outcomes="read.outcomes" :frozen="record.frozen" />
    <div class="fields items-end">
      <TextField
        v-for="[name, label] in DETAILS"
        :key="name"
        class="wide"
        :label="label"
        :text="details[name] ?? ''"
        :maxlength="2000"
        @change="details = { ...details, [name]: $event }"
      />
    </div>
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
