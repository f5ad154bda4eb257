<script setup lang="ts">
import type { RecordPage, RecordRow } from '#shared/schemas/run'

/** What was applied: searched, filtered and sorted by the server, taken along as a file. */
useHead({ title: 'Records · Hectarum' })
const crew = useCrewStore()
const route = useRoute()
const shown = useShown()
const words = ref(String(route.query.q ?? ''))
const filter = reactive({
  verdict: String(route.query.verdict ?? ''),
  from: String(route.query.from ?? ''),
  to: String(route.query.to ?? ''),
  sort: String(route.query.sort ?? 'newest'),
})
const asked = computed(() => ({ q: words.value, ...filter }))
const { rows, next, problem, loading, more } = usePaged<RecordRow, RecordPage>(
  crewUrl('/records'),
  () => asked.value,
)
// What is asked for stands in the address, so that it can be kept and sent.
watch(asked, (query) =>
  navigateTo(
    {
      query: Object.fromEntries(
        Object.entries(query).filter(
          ([name, value]) => value !== '' && !(name === 'sort' && value === 'newest'),
        ),
      ),
    },
    { replace: true },
  ),
)
const VERDICTS: Readonly<Record<RecordRow['verdict'], string>> = {
  good: 'good',
  acceptable: 'acceptable',
  off: 'off',
  'not certain': 'not certain',
  unknown: 'not known',
}
const MARKS = {
  good: 'good',
  acceptable: 'warn',
  off: 'stop',
  'not certain': 'note',
  unknown: 'off',
} as const satisfies Record<RecordRow['verdict'], string>
const columns = [
  { key: 'site', head: 'Site' },
  { key: 'finished', head: 'Finished', from: 'laptop' },
  { key: 'products', head: 'Products', from: 'laptop' },
  { key: 'by', head: 'By', from: 'laptop' },
  { key: 'lawn', head: 'Lawn', numeric: true, from: 'laptop' },
  { key: 'off', head: 'Under, over', from: 'laptop' },
  { key: 'verdict', head: 'Actual rate' },
] as const
const verdicts = [
  { value: '', text: 'every verdict' },
  ...Object.entries(VERDICTS).map(([value, text]) => ({ value, text })),
]
const sorts = [
  { value: 'newest', text: 'newest first' },
  { value: 'oldest', text: 'oldest first' },
  { value: 'site', text: 'by site' },
] as const
const empty = computed(() => {
  if (rows.value.length > 0) return undefined
  const { verdict, from, to } = filter
  return [words.value, verdict, from, to].some((asked) => asked !== '')
    ? { words: 'No record is like that.' }
    : {
        words:
          'Nothing on record yet. A record is what a run leaves when its outcome is logged; what was noted ' +
          'elsewhere can be taken in.',
        action: 'See the jobs',
        to: '/jobs',
      }
})
const chosen = ref<readonly string[]>()
const exportUrl = (format: 'csv' | 'json' | 'geojson', ids: readonly string[] = []) =>
  crewUrl(
    `/records/export?${new URLSearchParams([
      ...Object.entries({ ...asked.value, format }),
      ...ids.map((id) => ['ids', id]),
    ])}`,
  )
const file = (format: 'csv' | 'json' | 'geojson', label: string) => ({
  label,
  icon: 'i-lucide-file-output',
  to: exportUrl(format),
  external: true,
  download: true,
})
const others = computed(() => [
  [file('csv', 'As CSV'), file('json', 'As JSON'), file('geojson', 'Treated ground as GeoJSON')],
  [{ label: 'Take in earlier records', icon: 'i-lucide-file-input', to: '/records/earlier' }],
])
const when = (row: RecordRow) => finishedText(row, crew.organization?.timeZone)
</script>

<template>
  <ListPlace
    name="Records"
    :loading="loading"
    :problem="problem"
    :empty="empty"
    :next="!!next"
    @retry="more"
    @more="more"
  >
    <template #head>
      <ChoiceField
        bare
        label="Order"
        class="w-40"
        :value="filter.sort"
        :choices="sorts"
        @change="filter.sort = $event"
      />
      <UButton v-if="!chosen && rows.length > 0" label="Choose" @click="chosen = []" />
      <UButton label="What was used" icon="i-lucide-clipboard-list" to="/records/use" />
      <UDropdownMenu :items="others">
        <UButton icon="i-lucide-ellipsis" aria-label="More with records" />
      </UDropdownMenu>
    </template>
    <template #filters>
      <div class="filters" role="search">
        <SearchField v-model="words" label="Site, product, who, target" />
        <ChoiceField
          bare
          label="Verdict"
          class="w-44"
          :value="filter.verdict"
          :choices="verdicts"
          @change="filter.verdict = $event"
        />
        <DayField label="From" :day="filter.from" @change="filter.from = $event" />
        <DayField label="To" :day="filter.to" @change="filter.to = $event" />
      </div>
    </template>
    <ChosenBar v-if="chosen" :count="chosen.length" what="records" @done="chosen = undefined">
      <UButton label="CSV" icon="i-lucide-file-output" :to="exportUrl('csv', chosen)" external download />
      <UButton label="JSON" icon="i-lucide-file-output" :to="exportUrl('json', chosen)" external download />
    </ChosenBar>
    <RowTable
      v-model:chosen="chosen"
      class="mt-2"
      caption="Records"
      :rows="rows"
      :columns="columns"
      :key-of="({ id }) => id"
      :to="({ id }) => `/records/${id}`"
      :name-of="({ site, finishedAt }) => `${site}, ${instantText(finishedAt, crew.organization?.timeZone)}`"
    >
      <template #site="{ row }">{{ row.site || 'Unnamed site' }}</template>
      <template #under="{ row }">{{ when(row) }}, {{ row.products }}</template>
      <template #finished="{ row }"
        ><span class="whitespace-nowrap">{{ when(row) }}</span></template
      >
      <template #products="{ row }"
        >{{ row.products }}<span v-if="row.target" class="soft small ml-2">{{ row.target }}</span></template
      >
      <template #by="{ row }"
        ><span class="whitespace-nowrap">{{ row.by }}</span></template
      >
      <template #lawn="{ row }"><FigureText :shown="shown.size(row.sizeM2)" /></template>
      <template #off="{ row }"><OffPlan :deviations="row.deviations" /></template>
      <template #verdict="{ row }"
        ><StateMark :level="MARKS[row.verdict]" :words="VERDICTS[row.verdict]"
      /></template>
    </RowTable>
  </ListPlace>
</template>
