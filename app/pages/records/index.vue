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
  good: '● good',
  acceptable: '▲ acceptable',
  off: '■ off',
  unknown: '– not known',
}
const sorts = [
  ['newest', 'newest first'],
  ['oldest', 'oldest first'],
  ['site', 'by site'],
] as const
const empty = computed(() => {
  if (rows.value.length > 0) return undefined
  const { verdict, from, to } = filter
  return [words.value, verdict, from, to].some((asked) => asked !== '')
    ? { words: 'No record is like that.' }
    : {
        words: 'Nothing on record yet. A record is what a run leaves when its outcome is logged.',
        action: 'See the jobs',
        to: '/jobs',
      }
})
const exportUrl = (format: 'csv' | 'json') =>
  crewUrl(`/records/export?${new URLSearchParams({ ...asked.value, format })}`)
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
      <a :href="exportUrl('csv')" download class="way-out">CSV</a>
      <a :href="exportUrl('json')" download class="way-out">JSON</a>
    </template>
    <template #filters>
      <div class="filters" role="search">
        <SearchField v-model="words" label="Site, product, who, target" />
        <select v-model="filter.verdict" class="field" aria-label="Verdict">
          <option value="">every verdict</option>
          <option v-for="(text, value) in VERDICTS" :key="value" :value="value">{{ text }}</option>
        </select>
        <DayField label="From" :day="filter.from" @change="filter.from = $event" />
        <DayField label="To" :day="filter.to" @change="filter.to = $event" />
        <select v-model="filter.sort" class="field" aria-label="Order">
          <option v-for="[value, text] in sorts" :key="value" :value="value">{{ text }}</option>
        </select>
      </div>
    </template>
    <table class="list mt-2">
      <thead>
        <tr>
          <th scope="col">Finished</th>
          <th scope="col">Site</th>
          <th scope="col">Products</th>
          <th scope="col">By</th>
          <th scope="col" class="num">Lawn</th>
          <th scope="col">Actual rate</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="row in rows" :key="row.id">
          <td class="whitespace-nowrap">{{ instantText(row.finishedAt, crew.organization?.timeZone) }}</td>
          <th scope="row">
            <NuxtLink :to="`/records/${row.id}`" class="way-out">{{ row.site || 'Unnamed site' }}</NuxtLink>
          </th>
          <td>
            {{ row.products }}<span v-if="row.target" class="soft small ml-2">{{ row.target }}</span>
          </td>
          <td class="whitespace-nowrap">{{ row.by }}</td>
          <td class="num" data-label="lawn"><FigureText :shown="shown.size(row.sizeM2)" /></td>
          <td class="whitespace-nowrap" :class="row.verdict">{{ VERDICTS[row.verdict] }}</td>
        </tr>
      </tbody>
    </table>
  </ListPlace>
</template>

<style scoped>
.filters {
  display: flex;
  flex-wrap: wrap;
  align-items: flex-end;
  gap: 8px 12px;
  padding: 8px 0 4px;
}
.filters select {
  width: auto;
}
.good {
  color: var(--good);
}
.acceptable {
  color: var(--warn);
}
.off {
  color: var(--stop);
}
</style>
