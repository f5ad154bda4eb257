<script setup lang="ts">
import { reentryEnds } from '#core/run/reentry'
import type { Job } from '#shared/schemas/job'

/** The notice on paper: keep off until when, what went down, who did it. */
definePageMeta({ bare: true })
const route = useRoute()
const id = String(route.params.id)
const crew = useCrewStore()
const job = shallowRef<Job>()
const problem = ref<string>()
const place = Math.max(1, Number(route.query.a ?? 1) || 1)
const application = computed(() => job.value?.applications[place - 1])
const { record, load } = useRun(() => ({
  applicationId: application.value?.id ?? '',
  jobId: id,
  site: job.value?.site ?? '',
}))
try {
  job.value = await ask(questions.job(id))
  await load()
} catch (error) {
  problem.value = errorText(error)
}
useHead({ title: () => `Notice · ${job.value?.site ?? ''}` })
const end = computed(() => record.value?.endedAt ?? record.value?.finishedAt ?? crew.now())
const told = (instant: string) => instantText(instant, crew.organization?.timeZone)
const back = computed(() => record.value && reentryEnds(record.value.frozen.labels, end.value))
const lawns = computed(() => (record.value?.frozen.request.areas ?? []).map(({ name }) => name).join(', '))
const print = () => window.print()
</script>

<template>
  <main v-if="record" class="sheet">
    <div class="no-print flex gap-3 pb-6">
      <UButton label="Back to the run" :to="`/jobs/${id}/run?a=${place}`" />
      <UButton label="Print" color="primary" variant="solid" icon="i-lucide-printer" @click="print" />
    </div>
    <article class="notice">
      <h1>Keep off</h1>
      <p class="until">{{ back ? `until ${told(back)}, and not before it is dry` : 'until it is dry' }}</p>
      <p>Children, pets and everybody else.</p>
      <dl>
        <dt>Where</dt>
        <dd>{{ record.frozen.site }}: {{ lawns }}</dd>
        <dt>Treated</dt>
        <dd>{{ told(end) }}</dd>
        <dt>With</dt>
        <dd v-for="label in record.frozen.labels" :key="label.productId">
          {{ label.name }}<template v-if="label.active">, {{ label.active }}</template
          ><template v-if="label.registration">, registration {{ label.registration }}</template>
        </dd>
        <dt>By</dt>
        <dd>{{ crew.organization?.name }}, licence {{ crew.organization?.licence || 'not entered' }}</dd>
        <template v-if="crew.organization?.settings.poisonCentre"
          ><dt>Poison centre</dt>
          <dd>{{ crew.organization.settings.poisonCentre }}</dd></template
        >
      </dl>
    </article>
  </main>
  <EmptyState
    v-else
    :words="problem ?? 'Nothing has been frozen of this job yet.'"
    action="Back to the job"
    :to="`/jobs/${id}`"
  />
</template>

<style scoped>
.sheet {
  max-width: 760px;
  margin: 0 auto;
  padding: 24px;
}
.notice {
  border: 6px solid var(--ink);
  padding: 36px;
  font-size: 21px;
}
h1 {
  font-size: 84px;
  line-height: 1;
}
.until {
  font-size: 32px;
  font-weight: 700;
  padding: 10px 0 18px;
}
dl {
  display: grid;
  grid-template-columns: 140px 1fr;
  gap: 8px 16px;
  padding-top: 24px;
}
dt {
  color: var(--soft);
}
dd {
  grid-column: 2;
}
</style>
