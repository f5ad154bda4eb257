<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import type { ClientProgram } from '#shared/schemas/calendar'

/** What comes on a site, in plain words, to be printed or sent to whose lawn it is. */
const id = String(useRoute().params.id)
const crew = useCrewStore()
const { answer: found, problem } = useAnswer(() => questions.clientProgram(id))
useHead({ title: () => `What comes · ${found.value?.site ?? ''}` })
const print = () => window.print()
useScreenCommands(() => [{ id: 'print', label: 'Print', key: 'p', run: print }])
const MONTH = new Intl.DateTimeFormat('en-GB', { timeZone: 'UTC', month: 'long', year: 'numeric' })
/** By the month in which each begins. */
const months = computed(() => {
  const groups = new Map<string, ClientProgram['entries'][number][]>()
  for (const entry of found.value?.entries ?? []) {
    const month = MONTH.format(new Date(`${entry.from}T00:00:00Z`))
    groups.set(month, [...(groups.get(month) ?? []), entry])
  }
  return [...groups].map(([month, entries]) => ({ month, entries }))
})
const short = (day: string) => dayText(day).replace(/ \d{4}$/, '')
const span = (from: string, to: string) => (from === to ? short(from) : `${short(from)} to ${short(to)}`)
</script>

<template>
  <main v-if="found" class="client-page">
    <div class="no-print mb-4 flex flex-wrap items-center gap-4">
      <UButton label="Back to the site" :to="`/sites/${id}`" />
      <UButton label="Print" color="primary" variant="solid" aria-keyshortcuts="p" @click="print" />
      <NuxtLink :to="crewUrl(`/sites/${id}/calendar`)" external class="way-out">As a calendar file</NuxtLink>
    </div>
    <h1>What comes on your lawn</h1>
    <p class="soft">{{ found.site }} · by {{ found.crew }}, {{ dayText(crew.today()) }}</p>
    <p v-if="months.length === 0" class="mt-4">Nothing is planned by a program.</p>
    <section v-for="{ month, entries } in months" :key="month" class="mt-5" :aria-label="month">
      <h2>{{ month }}</h2>
      <ul>
        <li v-for="entry in entries" :key="entry.id" class="rule-b entry">
          <span class="soft">{{ span(entry.from, entry.to) }}</span>
          <span
            ><strong class="font-semibold">{{ entry.title }}</strong></span
          >
        </li>
      </ul>
    </section>
    <p class="soft small mt-5">
      About these days, as soil and weather allow; we tell you the day itself before we come. Keep people and
      pets off until we say so. Labels, local rules and licensed practice come first.
    </p>
  </main>
  <p v-else-if="problem" role="alert" class="p-6">{{ problem }}</p>
</template>

<style scoped>
.client-page {
  max-width: 760px;
  padding: 20px 24px;
}
.entry {
  display: grid;
  grid-template-columns: 160px minmax(0, 1fr);
  gap: 12px;
  padding: 6px 0;
}
@media print {
  .client-page {
    padding: 0;
    max-width: none;
  }
}
</style>
