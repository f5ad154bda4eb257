<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import { daysAfter } from '#core/calendar/daysBetween'

/**
 * One day: its jobs in driving order, the mixes they share, the truck's loading list, what must be bought
 * first.
 */
const day = String(useRoute().params.day)
const library = useLibraryStore()
const {
  jobs,
  whose,
  choices,
  problem,
  load,
  unready,
  stopped,
  mixes,
  needs,
  spray,
  alike,
  move,
  share,
  pages,
} = useDay(day)
await Promise.all([load(), library.load().catch(() => undefined)])
useHead({ title: `${dayText(day)} · Hectarum` })
useWorkingPages(
  pages,
  computed(
    () =>
      new Map([
        ...needs.value.map(
          ({ name, sourceId }) => [`day.${sourceId ?? name}`, `${name}: for the day`] as const,
        ),
        ...mixes.value.flatMap(({ stops }) =>
          stops.map(({ applicationId, site }) => [`mix.${applicationId}`, `The tank at ${site}`] as const),
        ),
      ]),
  ),
)
const print = () => window.print()
useScreenCommands(() => [
  { id: 'print', label: 'Print the day', key: 'p', run: print },
  { id: 'before', label: 'The day before', key: '[', run: () => navigateTo(`/days/${daysAfter(day, -1)}`) },
  { id: 'after', label: 'The day after', key: ']', run: () => navigateTo(`/days/${daysAfter(day, 1)}`) },
])
</script>

<template>
  <main class="page">
    <div class="page-head">
      <h1>{{ dayText(day) }}</h1>
      <nav class="no-print flex gap-4 small" aria-label="Other days">
        <NuxtLink :to="`/days/${daysAfter(day, -1)}`" class="way-out">the day before</NuxtLink
        ><NuxtLink :to="`/days/${daysAfter(day, 1)}`" class="way-out">the day after</NuxtLink>
      </nav>
      <ChoiceField
        v-if="choices.length > 1"
        bare
        label="Whose jobs"
        class="no-print w-44"
        :value="whose"
        :choices="choices"
        @change="whose = $event"
      />
      <UButton
        v-if="jobs.length > 0"
        class="no-print"
        label="Print"
        color="primary"
        variant="solid"
        aria-keyshortcuts="p"
        @click="print"
      />
    </div>
    <p v-if="problem" role="alert" class="problem small">{{ problem }}</p>
    <EmptyState
      v-if="jobs.length === 0"
      :words="
        whose === ''
          ? 'Nothing is planned for this day. A job stands here by its date.'
          : `Nothing is given to ${whose} on this day.`
      "
      action="See all jobs"
      to="/jobs"
    />
    <div v-else class="day-columns">
      <div class="space-y-5">
        <DayStops :jobs="jobs" :mixes="mixes" :unready="unready" :stopped="stopped" @move="move" />
        <p v-for="one in alike" :key="one.key" class="no-print">
          {{ one.own.map(({ site }) => site).join(' and ') }} are sprayed alike: one mix would do.
          <UButton variant="link" size="sm" @click="share(one.own, 'day')"> Mix them as one </UButton>
        </p>
        <DayMix v-for="mix in mixes" :key="mix.key" :mix="mix">
          <template #action>
            <UButton
              label="Mix them apart"
              variant="link"
              size="sm"
              class="no-print"
              @click="share(mix.stops, '')"
            />
          </template>
        </DayMix>
      </div>
      <DayTruck :needs="needs" :spray="spray" :jobs="jobs" :mixes="mixes" />
    </div>
  </main>
</template>

<style scoped>
.day-columns {
  display: grid;
  grid-template-columns: minmax(0, 1.25fr) minmax(0, 1fr);
  gap: 0 32px;
  margin-top: 10px;
}
.problem {
  color: var(--stop);
  font-weight: 600;
}
@media (max-width: 900px) {
  .day-columns {
    grid-template-columns: minmax(0, 1fr);
    gap: 24px;
  }
}
</style>
