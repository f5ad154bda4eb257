<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import type { JobPage, JobRow } from '#shared/schemas/job'

/** All jobs of the crew, latest day first. */
useHead({ title: 'Jobs · Hectarum' })
const route = useRoute()
const crew = useCrewStore()
const own = useSelfStore()
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
const again = () => {
  next.value = null
  return more()
}
const chosen = ref<readonly string[]>()
const moveTo = ref('')
const { busy, move } = useMoveJobs(again)
async function moveChosen() {
  const jobs = rows.value.filter(({ id }) => chosen.value?.includes(id))
  await move(jobs, moveTo.value, dayText(moveTo.value))
  chosen.value = undefined
}
const columns = [
  { key: 'site', head: 'Site' },
  { key: 'purpose', head: 'What for', from: 'laptop' },
  { key: 'products', head: 'Products', from: 'laptop' },
  { key: 'day', head: 'Day', from: 'laptop' },
  { key: 'state', head: 'State' },
] as const
const filters = [
  { value: '', text: 'every state' },
  { value: 'open', text: 'still to do' },
  { value: 'draft', text: 'drafts' },
  { value: 'planned', text: 'planned' },
  { value: 'running', text: 'running' },
  { value: 'done', text: 'done' },
  { value: 'cancelled', text: 'cancelled' },
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
      <ChoiceField
        bare
        label="State"
        class="w-40"
        :value="state"
        :choices="filters"
        @change="state = $event"
      />
      <UButton v-if="!chosen && rows.length > 0 && own.may('work')" label="Choose" @click="chosen = []" />
      <NuxtLink :to="`/days/${crew.today()}`" class="way-out">The day</NuxtLink>
      <UButton
        v-if="own.may('work')"
        label="New job"
        color="primary"
        variant="solid"
        aria-keyshortcuts="n"
        @click="startJob"
      />
    </template>
    <ChosenBar v-if="chosen" :count="chosen.length" what="jobs" @done="chosen = undefined">
      <DayField bare label="Move to" :day="moveTo" @change="moveTo = $event" />
      <UButton label="Move" :disabled="moveTo === ''" :loading="busy" @click="moveChosen" />
    </ChosenBar>
    <RowTable
      v-model:chosen="chosen"
      class="mt-3"
      caption="Jobs, latest day first"
      :rows="rows"
      :columns="columns"
      :key-of="({ id }) => id"
      :to="({ id }) => `/jobs/${id}`"
      :name-of="({ site, plannedFor }) => `${site || 'Unnamed site'}, ${dayText(plannedFor)}`"
    >
      <template #site="{ row }">{{ row.site || 'Unnamed site' }}</template>
      <template #under="{ row }">{{ dayText(row.plannedFor) }}, {{ row.purpose }}</template>
      <template #purpose="{ row }">{{ row.purpose }}</template>
      <template #products="{ row }"
        ><span class="small">{{ row.products.filter(Boolean).join('; then ') }}</span></template
      >
      <template #day="{ row }"
        ><span class="whitespace-nowrap">{{ dayText(row.plannedFor) }}</span
        ><span v-if="row.givenTo" class="soft small block">{{ row.givenTo }}</span></template
      >
      <template #state="{ row }"><StateMark :level="JOB_MARKS[row.state]" :words="row.state" /></template>
    </RowTable>
    <template #after><JobImport /></template>
  </ListPlace>
</template>
