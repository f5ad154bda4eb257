<script setup lang="ts">
import { reentryEnds } from '#core/run/reentry'

/** The notice that goes up, and when people may go back. */
const { frozen, record, done, jobId, place } = useRunScreen()
const crew = useCrewStore()
const end = computed(() => record.value.endedAt ?? record.value.finishedAt ?? crew.now())
const back = computed(() => reentryEnds(frozen.value.labels, end.value))
const told = computed(() => (back.value ? instantText(back.value, crew.organization?.timeZone) : ''))
const products = computed(() => frozen.value.labels.map(({ name }) => name).join(', '))
</script>

<template>
  <RunFrame title="Put the notice up" action="It is up" @act="done()">
    <div class="notice">
      <p class="big">Keep off</p>
      <p>
        <strong>{{ told ? `until ${told}` : 'until it is dry' }}</strong>{{
          told ? ', and not before it is dry' : ''
        }}
      </p>
      <p>Treated {{ instantText(end, crew.organization?.timeZone) }} with {{ products }}</p>
      <p>{{ crew.organization?.name }}</p>
    </div>
    <UButton
      class="mt-3"
      size="xl"
      icon="i-lucide-printer"
      label="Print it"
      :to="`/jobs/${jobId}/notice?a=${place}`"
    />
    <p class="soft pt-3">
      At every way onto the lawn, as the label and local rules say. People and pets stay off until then.
    </p>
  </RunFrame>
</template>

<style scoped>
.notice {
  border: 3px solid var(--ink);
  padding: 18px;
  font-size: 19px;
}
.big {
  font-family: var(--font-serif);
  font-size: 38px;
  font-weight: 700;
  line-height: 1.1;
}
</style>
