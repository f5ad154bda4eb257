<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import type { JobRow } from '#shared/schemas/job'

/** All jobs of the crew, latest day first. */
useHead({ title: 'Jobs · Hectarum' })
const crew = useCrewStore()
const { startJob } = useNewJob()
const jobs = ref<readonly JobRow[]>()
const problem = ref<string>()
const loading = computed(() => jobs.value === undefined && problem.value === undefined)
const STATES: Readonly<Record<JobRow['state'], string>> = { draft: '○ draft', planned: '● planned', running: '▶ running', done: '✓ done', cancelled: '– cancelled' }

async function load() {
  try {
    jobs.value = await $fetch<readonly JobRow[]>('/api/jobs')
    problem.value = undefined
  }
  catch (error) {
    problem.value = errorText(error)
  }
}
watch(() => crew.organization?.id, load, { immediate: true })
</script>

<template>
  <main class="px-6 py-4">
    <div class="flex items-center justify-between gap-4">
      <h1>Jobs</h1>
      <UButton label="New job" color="primary" variant="solid" aria-keyshortcuts="n" @click="startJob" />
    </div>
    <p v-if="loading" class="soft py-6">Opening …</p>
    <EmptyState v-else-if="problem" :words="problem" action="Try again" @act="load" />
    <EmptyState v-else-if="jobs?.length === 0" words="No jobs yet. A job starts with a lawn’s size and a label’s rate, and ends on record." action="Start the first job" @act="startJob" />
    <table v-else class="list mt-3">
      <thead><tr><th scope="col">Day</th><th scope="col">Site</th><th scope="col">What for</th><th scope="col">State</th></tr></thead>
      <tbody>
        <tr v-for="job in jobs" :key="job.id">
          <td class="whitespace-nowrap">{{ dayText(job.plannedFor) }}</td>
          <th scope="row"><NuxtLink :to="`/jobs/${job.id}`" class="way-out">{{ job.site || 'Unnamed site' }}</NuxtLink></th>
          <td>{{ job.purpose }}</td>
          <td class="whitespace-nowrap" :class="job.state">{{ STATES[job.state] }}</td>
        </tr>
      </tbody>
    </table>
  </main>
</template>

<style scoped>
.list { width: 100%; max-width: 980px; border-collapse: collapse; }
.list th, .list td { text-align: left; padding: 9px 16px 9px 0; border-bottom: var(--rule-width) solid var(--rule); font-weight: 400; vertical-align: baseline; }
.list thead th { color: var(--soft); font-size: 13px; border-bottom-color: var(--rule-strong); }
.running { color: var(--action); font-weight: 600; }
.done { color: var(--good); }
@media (max-width: 640px) {
  .list, .list tbody, .list tr, .list td, .list th { display: block; border: 0; padding: 0; }
  .list thead { display: none; }
  .list tr { border-bottom: var(--rule-width) solid var(--rule); padding: 10px 0; }
}
</style>
