<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import type { JobPage, JobRow } from '#shared/schemas/job'

/** All jobs of the crew, latest day first. */
useHead({ title: 'Jobs · Hectarum' })
const route = useRoute()
const crew = useCrewStore()
const { startJob } = useNewJob()
const words = ref('')
const state = computed({
  get: () => String(route.query.state ?? ''),
  set: (chosen: string) => {
    void navigateTo({ query: chosen === '' ? {} : { state: chosen } }, { replace: true })
  },
})
const { rows, next, problem, loading, more } = usePaged<JobRow, JobPage>(crewUrl('/jobs'), () => ({
  q: words.value,
  state: state.value,
}))
const STATES: Readonly<Record<JobRow['state'], string>> = {
  draft: '○ draft',
  planned: '● planned',
  running: '▶ running',
  done: '✓ done',
  cancelled: '– cancelled',
}
const filters = [
  ['', 'every state'],
  ['open', 'still to do'],
  ['draft', 'drafts'],
  ['planned', 'planned'],
  ['running', 'running'],
  ['done', 'done'],
  ['cancelled', 'cancelled'],
] as const
const empty = computed(() => {
  if (rows.value.length > 0) return undefined
  return words.value !== '' || state.value !== ''
    ? { words: 'No job is like that.' }
    : {
        words: 'No jobs yet. A job starts with a lawn’s size and a label’s rate, and ends on record.',
        action: 'Start the first job',
      }
})
</script>

<template>
  <ListPlace
    name="Jobs"
    :loading="loading"
    :problem="problem"
    :empty="empty"
    :next="!!next"
    @retry="more"
    @more="more"
    @act="startJob"
  >
    <template #head>
      <SearchField v-model="words" label="Find a job" />
      <select v-model="state" class="field state" aria-label="State">
        <option v-for="[value, text] in filters" :key="value" :value="value">{{ text }}</option>
      </select>
      <NuxtLink :to="`/days/${crew.today()}`" :prefetch="false" class="way-out">The day</NuxtLink>
      <UButton label="New job" color="primary" variant="solid" aria-keyshortcuts="n" @click="startJob" />
    </template>
    <table class="list mt-3">
      <thead>
        <tr>
          <th scope="col">Day</th>
          <th scope="col">Site</th>
          <th scope="col">What for</th>
          <th scope="col">State</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="job in rows" :key="job.id">
          <td class="whitespace-nowrap">{{ dayText(job.plannedFor) }}</td>
          <th scope="row">
            <NuxtLink :to="`/jobs/${job.id}`" class="way-out">{{ job.site || 'Unnamed site' }}</NuxtLink>
          </th>
          <td>{{ job.purpose }}</td>
          <td class="whitespace-nowrap" :class="job.state">{{ STATES[job.state] }}</td>
        </tr>
      </tbody>
    </table>
    <template #after><JobImport /></template>
  </ListPlace>
</template>

<style scoped>
.state {
  width: auto;
}
.running {
  color: var(--action);
  font-weight: 600;
}
.done {
  color: var(--good);
}
</style>
