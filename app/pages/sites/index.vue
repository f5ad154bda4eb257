<script setup lang="ts">
import { counted } from '#core/quantity/counting'
import { dayText } from '#core/calendar/dayText'
import type { Area, SitePage, SiteRow } from '#shared/schemas/ground'

/** The crew's sites by name. */
useHead({ title: 'Sites · Hectarum' })
const crew = useCrewStore()
const shown = useShown()
const begin = useNewRow()
const words = ref('')
const columns = [
  { key: 'site', head: 'Site' },
  { key: 'plan', head: 'Plan', from: 'laptop' },
  { key: 'place', head: 'Place', from: 'laptop' },
  { key: 'areas', head: 'Areas', numeric: true, from: 'laptop' },
  { key: 'turf', head: 'Turf', numeric: true },
  { key: 'last', head: 'Last treated', from: 'laptop' },
] as const
const { rows, next, problem, loading, more } = usePaged<SiteRow, SitePage>(crewUrl('/sites'), () => ({
  q: words.value,
}))
/** The areas of the sites listed, for their small plans; a list without plans is still a list. */
const areas = shallowRef<readonly Area[]>([])
const MOST_AT_ONCE = 50
watch(rows, async (listed) => {
  const known = new Set(areas.value.map(({ siteId }) => siteId))
  const siteId = listed.flatMap(({ id, areas: count }) => (count > 0 && !known.has(id) ? [id] : []))
  if (siteId.length === 0) return
  const found = await ask(questions.areas(siteId.slice(0, MOST_AT_ONCE))).catch(() => [])
  areas.value = [...areas.value, ...found]
})
const bySite = computed(() => Map.groupBy(areas.value, ({ siteId }) => siteId))
const empty = computed(() => {
  if (rows.value.length > 0) return undefined
  return words.value === ''
    ? {
        words: 'No sites yet. A site holds the measured areas that every job draws on.',
        action: 'Measure the first site',
      }
    : { words: `No site has “${words.value}” in its name or place.`, action: 'Make it' }
})
const newSite = () =>
  begin(
    { name: words.value, place: '', document: { schema: 1, contact: '', notices: '', water: '', notes: '' } },
    (id) => `/sites/${id}`,
  )
useScreenCommands(() => [{ id: 'new-site', label: 'New site', key: 'a', run: newSite }])
</script>

<template>
  <ListPlace
    name="Sites"
    :loading="loading"
    :problem="problem"
    :empty="empty"
    :next="!!next"
    @retry="more"
    @more="more"
    @act="newSite"
  >
    <template #head>
      <SearchField v-model="words" label="Find a site" />
      <UButton label="New site" color="primary" variant="solid" aria-keyshortcuts="a" @click="newSite" />
    </template>
    <RowTable
      pictured
      class="mt-3"
      caption="Sites"
      :rows="rows"
      :columns="columns"
      :key-of="({ id }) => id"
      :to="({ id }) => `/sites/${id}`"
    >
      <template #site="{ row }">{{ row.name }}</template>
      <template #under="{ row }"
        >{{ counted(row.areas, 'area') }}, last treated
        {{ row.lastOn === '' ? 'never' : dayText(row.lastOn) }}</template
      >
      <template #plan="{ row }"
        ><SiteThumb :areas="bySite.get(row.id) ?? []" :name="row.name" :today="crew.today()"
      /></template>
      <template #place="{ row }">{{ row.place }}</template>
      <template #areas="{ row }">{{ row.areas }}</template>
      <template #turf="{ row }"
        ><FigureText v-if="row.sizeM2 > 0" :shown="shown.size(row.sizeM2)" /><span v-else class="soft"
          >not measured</span
        ></template
      >
      <template #last="{ row }">{{ row.lastOn === '' ? 'never' : dayText(row.lastOn) }}</template>
    </RowTable>
  </ListPlace>
</template>
