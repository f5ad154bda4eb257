<script setup lang="ts">
/** What one station holds: ten years of days, a year of hours. */
const route = useRoute()
const by = ref<'days' | 'hours'>('days')
const WAYS = [
  { value: 'days', text: 'days' },
  { value: 'hours', text: 'hours' },
] as const
const { answer: weather, problem, again } = useAnswer(() => questions.stationWeather(String(route.params.id)))
useHead({ title: () => `${weather.value?.name ?? 'Station'} · Hectarum` })
const none = computed(() => weather.value?.[by.value].length === 0)
const NONE = {
  days: 'No days yet: type highs and lows, bring a file, or choose a service.',
  hours: 'No hours yet: a service sends them, or a file.',
} as const
</script>

<template>
  <div>
    <SeasonTabs />
    <main class="place">
      <header class="flex flex-wrap items-center gap-x-4 gap-y-2">
        <h1>{{ weather?.name ?? 'Station' }}</h1>
        <ChoiceField bare label="By" class="ms-auto w-32" :value="by" :choices="WAYS" @change="by = $event" />
        <UButton to="/season/stations" icon="i-lucide-arrow-left" label="All stations" size="sm" />
      </header>
      <p v-if="problem" role="alert">
        {{ problem }} <UButton variant="link" size="sm" label="Try again" @click="again" />
      </p>
      <template v-if="weather">
        <p v-if="none" class="soft mt-4">{{ NONE[by] }}</p>
        <StationChart v-else :key="by" :weather="weather" :by="by" class="mt-3" />
        <p class="soft small mt-2">
          Drag the picture to move through the years, pull the handles under it to see more or less. Right of
          the line is forecast.
        </p>
      </template>
    </main>
  </div>
</template>

<style scoped>
.place {
  padding: 16px 24px;
}
@media (max-width: 760px) {
  .place {
    padding: 12px 16px;
  }
}
</style>
