<script setup lang="ts">
import { blankEquipment } from '#core/calibration/blankEquipment'
import { blankProductDocument } from '#core/label/blankProduct'
import { v7 as uuid } from 'uuid'
import type { Today } from '#shared/schemas/today'

/** This morning: what runs, what is due, who may go back where, what needs looking after. */
useHead({ title: 'Today · Hectarum' })
const crew = useCrewStore()
const today = shallowRef<Today>()
const { problem, read } = useReading(async () => {
  await refreshWeather()
  today.value = await $fetch<Today>(crewUrl('/today'))
})
const { whose, choices, own } = useWhose(() => [...(today.value?.jobs ?? []), ...(today.value?.ahead ?? [])])
const begin = useNewRow()
const { startJob } = useNewJob()
const dayWords = computed(() => weekdayText(today.value?.day ?? '2000-01-01'))
const clock = computed(() =>
  new Intl.DateTimeFormat('en-GB', {
    timeZone: crew.organization?.timeZone,
    hour: '2-digit',
    minute: '2-digit',
  }).format(new Date(today.value?.now ?? 0)),
)
const counts = computed(() => today.value?.counts)
/** The chain of a new crew: what is still empty, each with the one action that fills it. */
const steps = computed(() => [
  {
    done: (counts.value?.sites ?? 0) > 0,
    words: 'Measure a site: its areas are what every job draws on.',
    action: 'New site',
    act: () =>
      begin(
        { name: '', place: '', document: { schema: 1, contact: '', notices: '', water: '', notes: '' } },
        (id) => `/sites/${id}`,
      ),
  },
  {
    done: (counts.value?.equipment ?? 0) > 0,
    words: 'Enter a spreader or a sprayer, and calibrate it over a taped course.',
    action: 'Add a sprayer',
    act: () =>
      begin({ name: '', document: blankEquipment('sprayer', crew.units) }, (id) => `/equipment/${id}`),
  },
  {
    done: (counts.value?.products ?? 0) > 0,
    words: 'Type a label: its rate and its limits.',
    action: 'New product',
    act: () =>
      begin({ name: '', document: blankProductDocument(uuid(), crew.units) }, (id) => `/products/${id}`),
  },
  {
    done: (counts.value?.jobs ?? 0) > 0,
    words: 'Plan a job: amounts, loads and checks follow by themselves.',
    action: 'New job',
    act: startJob,
  },
])
const young = computed(() => counts.value !== undefined && counts.value.jobs === 0)
</script>

<template>
  <main v-if="today">
    <header class="rule-b head">
      <h1>{{ dayWords }}</h1>
      <p class="soft">{{ clock }} · {{ crew.organization?.name }}</p>
      <ChoiceField
        v-if="choices.length > 1"
        bare
        label="Whose jobs"
        class="ms-auto w-44"
        :value="whose"
        :choices="choices"
        @change="whose = $event"
      />
    </header>
    <section v-if="young" class="px-6 py-5" aria-labelledby="first-title">
      <h2 id="first-title">From nothing to the first record</h2>
      <ol>
        <li v-for="step in steps" :key="step.action" class="rule-b step">
          <UIcon :name="step.done ? 'i-lucide-circle-check' : 'i-lucide-circle-dashed'" class="size-5" /><span
            >{{ step.words }}<span v-if="step.done" class="sr-only"> Done.</span></span
          >
          <UButton
            :label="step.action"
            size="sm"
            :color="step.done ? 'neutral' : 'primary'"
            :variant="step.done ? 'outline' : 'solid'"
            @click="step.act"
          />
        </li>
      </ol>
    </section>
    <DayHours v-if="!young" :today="today" />
    <div v-if="!young" class="columns">
      <div class="space-y-6">
        <TodayRunning :running="today.running" />
        <TodayJobs
          :jobs="own(today.jobs)"
          :ahead="own(today.ahead)"
          :day="today.day"
          :outlooks="today.outlooks"
        />
        <TodayDue :due="today.due" />
      </div>
      <div class="space-y-6">
        <TodayCare :today="today" />
        <TodaySeason v-if="today.season.length > 0" :due="today.season" />
      </div>
    </div>
  </main>
  <EmptyState
    v-else
    :words="problem ?? 'Opening …'"
    :action="problem ? 'Try again' : undefined"
    @act="read"
  />
</template>

<style scoped>
.head {
  padding: 14px 24px 10px;
  display: flex;
  align-items: baseline;
  flex-wrap: wrap;
  gap: 4px 16px;
}
.step {
  display: grid;
  grid-template-columns: 20px minmax(0, 1fr) auto;
  gap: 10px;
  padding: 9px 0;
  align-items: center;
  max-width: 760px;
}
@media (max-width: 760px) {
  .head {
    padding: 10px 16px 6px;
    align-items: center;
  }
}
</style>
