<script setup lang="ts">
import type { GateSubject } from '#core/run/gate/gateFindings'

/** Go or no-go. */
const { keep, done } = useRunScreen()
const gate = useGate()
const { readings, reason, station, findings, unread, stops, later, goes, held, worst, summary, entry } = gate
onMounted(gate.openStation)

const UNREAD: Readonly<Partial<Record<GateSubject, string>>> = { mown: 'mowing', equipment: 'machine' }
const unreadWords = computed(() => unread.value.map((name) => UNREAD[name] ?? name).join(', '))
const go = () => done([entry('go')])
const waited = ref(false)
async function wait() {
  await keep([entry('wait')])
  waited.value = true
}
</script>

<template>
  <RunFrame title="Go or no-go" :action="stops.length > 0 ? 'Go all the same' : 'Go'" :waits="held" @act="go">
    <template #said>
      <StateMark :level="worst" :words="summary" />
    </template>
    <template v-if="stops.length > 0" #actions>
      <UButton size="xl" label="Wait" icon="i-lucide-hourglass" @click="wait" />
    </template>
    <p v-if="station" class="soft from">
      <span>{{ readings.from ? `By ${readings.from}; read it here where you can.` : '' }}</span>
      <UButton
        variant="link"
        icon="i-lucide-cloud-download"
        :label="`Take ${station}`"
        @click="gate.takeStation"
      />
    </p>
    <GateReadings :gate="gate" />
    <GateEyes :gate="gate" />
    <GatePapers />
    <section aria-label="What speaks against it" aria-live="polite">
      <RunAnswer
        v-for="found in findings"
        :key="found.subject"
        :level="found.level"
        :words="`${found.message}${later(found.subject)}`"
      />
      <RunAnswer
        v-if="findings.length === 0"
        level="good"
        :words="
          unread.length === 0 ? 'Nothing speaks against it.' : 'Nothing that was read speaks against it.'
        "
      />
      <p v-if="goes">{{ goes }}</p>
      <p v-if="unread.length > 0" class="soft">Not read yet: {{ unreadWords }}.</p>
      <p v-if="waited" role="status">Noted. The plan waits here; read again when it has changed.</p>
    </section>
    <TextField
      v-if="stops.length > 0"
      label="Why it goes out all the same; it stands on the record"
      :text="reason"
      :maxlength="2000"
      @change="reason = $event"
    />
    <p class="soft small">
      The label is the law; this page replaces neither it nor a licence nor local rules.
    </p>
  </RunFrame>
</template>

<style scoped>
.from {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 4px 16px;
  padding-bottom: 8px;
}
</style>
