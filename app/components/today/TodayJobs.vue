<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import { daysBetween } from '#core/calendar/daysBetween'
import type { JobRow } from '#shared/schemas/job'
import type { JobOutlook } from '#shared/schemas/today'

/** Jobs of the day, those left over, and the week ahead. */
const props = defineProps<{
  jobs: readonly JobRow[]
  ahead: readonly JobRow[]
  day: string
  /** When each can go out, by the weather. */
  outlooks: readonly JobOutlook[]
}>()
const { startJob } = useNewJob()
const own = useSelfStore()
const groups = computed(() => [
  {
    title: 'Today',
    rows: props.jobs.filter(({ plannedFor }) => plannedFor === props.day),
    empty: 'No job is planned for today.',
  },
  { title: 'Left over', rows: props.jobs.filter(({ plannedFor }) => plannedFor < props.day), empty: '' },
  { title: 'Next seven days', rows: props.ahead, empty: '' },
])
const outlookOf = (id: string) => props.outlooks.find(({ jobId }) => jobId === id)
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
      <UButton v-if="own.may('work')" variant="link" size="sm" @click="startJob">New job</UButton
      ><NuxtLink :to="`/days/${day}`" class="way-out small">The day: stops, truck, mixes</NuxtLink>
    </div>
    <template v-for="group in groups" :key="group.title">
      <div v-if="group.rows.length > 0 || group.empty">
        <h3 class="soft small mt-2">{{ group.title }}</h3>
        <p v-if="group.rows.length === 0" class="soft">{{ group.empty }}</p>
        <ul>
          <li v-for="(job, i) in group.rows" :key="job.id" class="rule-b">
            <JobLine
              :job="job"
              :number="group.title === 'Today' ? i + 1 : undefined"
              :when="when(job.plannedFor)"
              :outlook="outlookOf(job.id)"
            />
          </li>
        </ul>
      </div>
    </template>
  </section>
</template>
