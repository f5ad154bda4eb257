<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { gateWeather } from '#core/run/gate/gateWeather'
import { licenceOf } from '#core/people/licence'
import { knownDetails } from '#core/run/knownDetails'
import type { RunDetails } from '#core/run/runEvent'
import type { EventBody } from '~/composables/run/useRun'

/** Who did it, for what and in what weather: what is known stands there already. */
const { purpose } = defineProps<{ purpose: string }>()
const { record, progress, document, keep, done, open, applicationId, jobId } = useRunScreen()
const crew = useCrewStore()
const own = useSelfStore()
const lastBy = useLocalStorage(`hectarum-by:${crew.organization?.id ?? ''}`, '')
const known = knownDetails(document.value, purpose, {
  by: own.person?.name ?? lastBy.value,
  licence: licenceOf(own.person, crew.organization?.licence ?? ''),
})
// Whoever is on the newest record, where this device does not know yet.
onMounted(async () => {
  if (details.value.by !== '') return
  const page = await ask(questions.newestRecord()).catch(() => undefined)
  const by = page?.rows[0]?.by ?? ''
  if (details.value.by === '') details.value = { ...details.value, by }
})
const gate = progress.value.gates.findLast(({ decision }) => decision === 'go')
const details = useTyped<RunDetails>('details', {
  ...known,
  weather: gate ? gateWeather(gate.readings) : known.weather,
})
const mark = ref('')
const learned = useLearned(
  () => record.value,
  () => record.value.used,
  () => record.value.outcomes,
  () => document.value,
)
const over = computed(() => record.value.state === 'done')
const rested = computed(() => record.value.used !== undefined)
const saving = ref(false)

async function finish() {
  if (over.value) return navigateTo(`/records/${applicationId}`)
  saving.value = true
  const bodies: EventBody[] = [{ kind: 'finished', payload: details.value }]
  if (details.value.by.trim() !== '')
    bodies.push({ kind: 'signed', payload: { name: details.value.by.trim(), mark: mark.value } })
  if (learned.takes.value) bodies.push({ kind: 'calibrates', payload: {} })
  lastBy.value = details.value.by
  try {
    await keep(bodies)
    await done()
  } finally {
    saving.value = false
  }
}
</script>

<template>
  <RunFrame
    :title="over ? 'It is on record' : 'Put it on record'"
    :action="over ? 'See the record' : 'Sign and put on record'"
    :waits="!rested || saving"
    @act="finish"
  >
    <RunAnswer v-if="!rested" level="warn" words="What was left is not entered yet: the record needs it.">
      <UButton size="xl" class="mt-2" label="Enter what is left" @click="open('rest')" />
    </RunAnswer>
    <OutcomeVerdicts v-if="record.outcomes.length > 0" :outcomes="record.outcomes" :frozen="record.frozen" />
    <template v-if="!over">
      <DetailFields class="pt-3" :details="details" @change="details = $event" />
      <TickField
        v-if="learned.learned.value"
        class="pt-3"
        :label="learned.words.value"
        :ticked="learned.takes.value"
        @change="learned.takes.value = $event"
      />
      <SignPad class="pt-4" @change="mark = $event" />
    </template>
    <template v-else>
      <p class="pt-3">
        Kept on this device; it goes to the server by itself. Corrections are additions with a reason.
      </p>
      <UButton class="mt-3" size="xl" label="Back to the job" :to="`/jobs/${jobId}`" />
    </template>
  </RunFrame>
</template>
