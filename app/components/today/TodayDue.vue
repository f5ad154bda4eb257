<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import type { DueRow } from '#shared/schemas/today'

/** Repeats whose interval is running out, counted from what was really put down. */
defineProps<{ due: readonly DueRow[] }>()
const { repeatFrom } = useRepeat()
const own = useSelfStore()
const MARKS = {
  late: { level: 'stop', word: 'interval over' },
  due: { level: 'warn', word: 'due' },
  soon: { level: 'set', word: 'soon' },
  later: { level: 'open', word: 'later' },
} as const satisfies Record<DueRow['state'], object>
const short = (day: string) => dayText(day).replace(/ \d{4}$/, '')
</script>

<template>
  <section aria-labelledby="due-title">
    <h2 id="due-title">Due again</h2>
    <p v-if="due.length === 0" class="soft">No label interval is running out.</p>
    <ul>
      <li v-for="row in due" :key="`${row.applicationId} ${row.product}`" class="rule-b due">
        <StateMark :level="MARKS[row.state].level" :words="MARKS[row.state].word" />
        <span>
          <strong class="font-semibold">{{ row.product }}</strong><span
            v-if="row.split === 'share' || row.split === 'repeat'"
            >, the second of two</span
          >,
          <NuxtLink v-if="row.siteId" :to="`/sites/${row.siteId}`" class="way-out">{{ row.site }}</NuxtLink>
          <span class="soft">{{ row.areas }}</span>
          <span class="small soft block"
            >last {{ short(row.on)
            }}<template v-if="row.repeatDays">, label {{ row.repeatDays }} days</template>: do it by
            {{ short(row.due) }}, by {{ short(row.lastDay) }} at the latest<template v-if="row.coveredTo"
              >; covered to {{ short(row.coveredTo) }}</template
            ></span
          >
        </span>
        <NuxtLink v-if="row.jobId" :to="`/jobs/${row.jobId}`" class="way-out small">Planned</NuxtLink>
        <UButton
          v-else-if="own.may('work')"
          variant="link"
          size="sm"
          @click="repeatFrom(row.applicationId, row.due, row.areaIds)"
        >
          Plan it<span class="sr-only">: {{ row.product }}, {{ row.site }}</span>
        </UButton>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.due {
  display: grid;
  grid-template-columns: 108px minmax(0, 1fr) auto;
  gap: 12px;
  padding: 6px 0;
  align-items: baseline;
}
@media (max-width: 640px) {
  .due {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .due > :first-child {
    grid-column: 1 / -1;
  }
}
</style>
