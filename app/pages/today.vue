<script setup lang="ts">
/** This morning: what runs, what is due, who may go back where, what needs looking after. */
useHead({ title: 'Today · Hectarum' })
const crew = useCrewStore()
const person = useSelfStore()
const { answer: today, problem, again: read } = useAnswer(questions.today, refreshWeather)
const { whose, choices, own } = useWhose(() => [...(today.value?.jobs ?? []), ...(today.value?.ahead ?? [])])
/** More choices than this, all jobs among them, make a list. */
const MOST_IN_VIEW = 4
const dayWords = computed(() => weekdayText(today.value?.day ?? '2000-01-01'))
const clock = computed(() =>
  new Intl.DateTimeFormat('en-GB', {
    timeZone: crew.organization?.timeZone,
    hour: '2-digit',
    minute: '2-digit',
  }).format(new Date(today.value?.now ?? 0)),
)
const young = computed(() => today.value?.counts.jobs === 0)
</script>

<template>
  <main v-if="today">
    <header class="rule-b head">
      <h1>{{ dayWords }}</h1>
      <p class="soft">{{ clock }} · {{ crew.organization?.name }}</p>
      <template v-if="choices.length > 1">
        <RadioField
          v-if="choices.length <= MOST_IN_VIEW"
          bare
          label="Whose jobs"
          class="ms-auto"
          :value="whose"
          :choices="choices"
          @change="whose = $event"
        />
        <LazyChoiceField
          v-else
          bare
          label="Whose jobs"
          class="ms-auto w-44"
          :value="whose"
          :choices="choices"
          @change="whose = $event"
        />
      </template>
    </header>
    <LazyFirstSteps v-if="young && person.may('work')" :counts="today.counts" />
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
@media (max-width: 760px) {
  .head {
    padding: 10px 16px 6px;
    align-items: center;
  }
}
</style>
