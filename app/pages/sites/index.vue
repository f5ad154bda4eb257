<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import type { SitePage, SiteRow } from '#shared/schemas/ground'

/** The crew's sites by name. */
useHead({ title: 'Sites · Hectarum' })
const shown = useShown()
const begin = useNewRow()
const words = ref('')
const { rows, next, problem, loading, more } = usePaged<SiteRow, SitePage>(crewUrl('/sites'), () => ({
  q: words.value,
}))
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
    <table class="list mt-3">
      <thead>
        <tr>
          <th scope="col">Site</th>
          <th scope="col">Place</th>
          <th scope="col" class="num">Areas</th>
          <th scope="col" class="num">Turf</th>
          <th scope="col">Last treated</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="site in rows" :key="site.id">
          <th scope="row">
            <NuxtLink :to="`/sites/${site.id}`" class="way-out">{{ site.name }}</NuxtLink>
          </th>
          <td>{{ site.place }}</td>
          <td class="num" data-label="areas">{{ site.areas }}</td>
          <td class="num" data-label="turf">
            <FigureText v-if="site.sizeM2 > 0" :shown="shown.size(site.sizeM2)" /><span v-else class="soft"
              >not measured</span
            >
          </td>
          <td data-label="last treated">{{ site.lastOn === '' ? 'never' : dayText(site.lastOn) }}</td>
        </tr>
      </tbody>
    </table>
  </ListPlace>
</template>
