<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import { daysBetween } from '#core/calendar/daysBetween'
import type { JobRow } from '#shared/schemas/job'

/** Jobs of the day, those left over, and the week ahead. */
const props = defineProps<{ jobs: readonly JobRow[]; ahead: readonly JobRow[]; day: string }>()
const { startJob } = useNewJob()
const STATES: Readonly<Partial<Record<JobRow['state'], string>>> = { draft: '○ draft', planned: '● planned' }
const groups = computed(() => [
  {
    title: 'Today',
    rows: props.jobs.filter(({ plannedFor }) => plannedFor === props.day),
    empty: 'No job is planned for today.',
  },
  { title: 'Left over', rows: props.jobs.filter(({ plannedFor }) => plannedFor < props.day), empty: '' },
  { title: 'Next seven days', rows: props.ahead, empty: '' },
])
const when = (day: string) => {
  const days = daysBetween(props.day, day)
  if (days === 0) return 'today'
  if (days === 1) return 'tomorrow'
  return dayText(day).replace(/ \d{4}$/, '')
}
</script>

<template>
  <section aria-labelledby="jobs-title">
    <div class="flex items-baseline gap-4">
      <h2 id="jobs-title">Jobs</h2>
      <button type="button" class="plain-button way-out small" @click="startJob">New job</button
      ><NuxtLink :to="`/days/${day}`" :prefetch="false" class="way-out small"
        >The day: stops, truck, mixes</NuxtLink
      >
    </div>
    <template v-for="group in groups" :key="group.title">
      <div v-if="group.rows.length > 0 || group.empty">
        <h3 class="soft small mt-2">{{ group.title }}</h3>
        <p v-if="group.rows.length === 0" class="soft">{{ group.empty }}</p>
        <ul>
          <li v-for="job in group.rows" :key="job.id" class="rule-b job">
            <span class="whitespace-nowrap">{{ when(job.plannedFor) }}</span>
            <span
              ><NuxtLink :to="`/jobs/${job.id}`" class="way-out">{{ job.site || 'Unnamed site' }}</NuxtLink>
              <span class="soft">{{ job.purpose }}</span></span
            >
            <span class="small whitespace-nowrap">{{ STATES[job.state] ?? job.state }}</span>
          </li>
        </ul>
      </div>
    </template>
  </section>
</template>

<style scoped>
.job {
  display: grid;
  grid-template-columns: 84px minmax(0, 1fr) auto;
  gap: 12px;
  padding: 6px 0;
  align-items: baseline;
}
</style>
