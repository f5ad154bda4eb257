<script setup lang="ts">
import { counted } from '#core/quantity/counting'
import { dayText } from '#core/calendar/dayText'
import type { SeasonDue } from '#shared/schemas/today'

/** What the season asks for now: windows and steps of programs, what presses first. */
defineProps<{ due: readonly SeasonDue[] }>()
/** One site by name, several counted. */
function placesOf({ sites }: SeasonDue): string {
  const lawns = sites.reduce((sum, { areas }) => sum + areas, 0)
  const [only] = sites
  return sites.length === 1 && only
    ? `${only.name}, ${counted(lawns, 'lawn')}`
    : `${counted(lawns, 'lawn')} on ${sites.length} sites`
}
const short = (day: string) => dayText(day).replace(/ \d{4}$/, '')
</script>

<template>
  <section aria-labelledby="season-title">
    <div class="flex items-baseline gap-4">
      <h2 id="season-title">The season</h2>
      <NuxtLink to="/season/board" class="way-out small">All lawns</NuxtLink>
    </div>
    <ul>
      <li v-for="one in due" :key="one.what" class="rule-b due">
        <UIcon :name="one.presses ? 'i-lucide-triangle-alert' : 'i-lucide-calendar-range'" class="sign" />
        <span class="min-w-0">
          <NuxtLink :to="`/season/${one.areaId}`" class="way-out font-semibold">{{ one.what }}</NuxtLink><span
            v-if="one.presses"
            class="sr-only"
            >, can’t wait</span
          >
          <span class="small block">{{ placesOf(one) }}</span>
          <span class="small soft block">{{ one.reason }}</span>
        </span>
        <span class="small whitespace-nowrap">{{ one.until ? `by ${short(one.until)}` : '' }}</span>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.due {
  display: grid;
  grid-template-columns: 24px minmax(0, 1fr) auto;
  gap: 8px;
  padding: 6px 0;
  align-items: start;
}
.sign {
  width: 18px;
  height: 18px;
  margin-top: 3px;
}
</style>
