<script setup lang="ts">
import type { DropdownMenuItem } from '@nuxt/ui'
import { dayText } from '#core/calendar/dayText'
import { counted } from '#core/quantity/counting'
import { readLatitude } from '#core/weather/readLatitude'
import type { StationRow } from '#shared/schemas/weather'
import { v7 as uuid } from 'uuid'

/** Weather stations of the crew: where they are, where their readings come from, the sites they tell. */
useHead({ title: 'Weather stations · Hectarum' })
const person = useSelfStore()
const notice = useNotice()
const { answer: stations, problem, loading, again } = useAnswers(questions.stations, refreshWeather)
const { answer: services } = useAnswers(questions.weatherServices)
const serviceChoices = computed(() => [
  { value: '', text: 'typed, or from files' },
  ...services.value.map(({ id, name }) => ({ value: id, text: name })),
])
const openId = ref<string>()
interface Entry {
  readonly name: string
  readonly latitude: string
  readonly longitude: string
  readonly service: string
}
const entry = ref<Entry>()
const failed = ref<string>()
function open(station: StationRow) {
  const { name, document } = station
  openId.value = station.id
  failed.value = undefined
  entry.value = {
    name,
    latitude: document.latitude,
    longitude: document.longitude,
    service: document.service ?? '',
  }
}
function begin() {
  openId.value = uuid()
  failed.value = undefined
  entry.value = { name: '', latitude: '', longitude: '', service: '' }
}
const change = (part: Partial<Entry>) => {
  if (entry.value) entry.value = { ...entry.value, ...part }
}
const LONGITUDE = 180
const problems = computed(() => {
  const { latitude = '', longitude = '' } = entry.value ?? {}
  const degrees = Number(longitude.trim() || 0)
  return {
    latitude:
      latitude.trim() === '' || readLatitude(latitude) !== undefined
        ? undefined
        : 'Degrees from -90 to 90, such as 41.3; south below zero.',
    longitude:
      Math.abs(degrees) <= LONGITUDE
        ? undefined
        : 'Degrees from -180 to 180, such as -70.7; west below zero.',
  }
})
async function save() {
  const { value } = entry
  if (!value || !openId.value || problems.value.latitude || problems.value.longitude) return
  const before = stations.value.find(({ id }) => id === openId.value)
  const { name, ...place } = value
  try {
    await tell('PUT', `/library/stations/${openId.value}`, {
      version: before?.version ?? 0,
      name: name.trim(),
      document: { ...(before?.document ?? { schema: 1, notes: '' }), ...place },
    })
    if (place.service) await tell('POST', '/weather/refresh').catch(() => undefined)
  } catch (error) {
    failed.value = errorText(error)
    return
  }
  entry.value = undefined
  openId.value = undefined
  await again()
}
async function remove({ id, version, name }: StationRow) {
  try {
    await tell('DELETE', `/library/stations/${id}`, { version })
  } catch (error) {
    return notice.say(`${name} stays.`, errorText(error))
  }
  await again()
  notice.say(`${name} is gone.`, undefined, {
    label: 'Bring it back',
    act: async () => {
      await tell('POST', `/library/stations/${id}/restore`)
      await again()
    },
  })
}
const fileOf = (id: string, format: string) => crewUrl(`/stations/${id}/file?format=${format}`)
const menuOf = (station: StationRow): readonly DropdownMenuItem[] => [
  { label: 'Its days as CSV', icon: 'i-lucide-download', href: fileOf(station.id, 'csv'), external: true },
  { label: 'Its days as JSON', icon: 'i-lucide-download', href: fileOf(station.id, 'json'), external: true },
  ...(person.may('govern')
    ? [{ label: 'Delete', icon: 'i-lucide-trash-2', onSelect: () => remove(station) }]
    : []),
]
const serviceName = (id = '') => services.value.find((one) => one.id === id)?.name
const span = ({ days, firstDay, lastDay }: StationRow) =>
  firstDay === null
    ? 'no days yet'
    : `${counted(days, 'day')}, ${dayText(firstDay)} to ${lastDay ? dayText(lastDay) : 'none yet'}`
</script>

<template>
  <div>
    <SeasonTabs />
    <ListPlace
      name="Weather stations"
      :loading="loading"
      :problem="problem"
      :empty="
        stations.length === 0 && !entry
          ? {
              words:
                'No station yet: it tells soil, windows and which day. Make one, or take a simulated one.',
              action: person.may('work') ? 'New station' : undefined,
            }
          : undefined
      "
      @retry="again"
      @act="begin"
    >
      <template #head>
        <UButton
          v-if="person.may('work') && stations.length > 0"
          class="ms-auto"
          label="New station"
          color="primary"
          variant="solid"
          @click="begin"
        />
      </template>
      <ul>
        <li v-for="station in stations" :key="station.id" class="rule-b station">
          <div class="min-w-0">
            <p>
              <NuxtLink :to="`/season/stations/${station.id}`" class="way-out font-semibold">{{
                station.name
              }}</NuxtLink>
              <span class="soft small">
                · {{ station.document.latitude || 'no latitude' }},
                {{ station.document.longitude || 'no longitude' }}</span
              >
            </p>
            <p class="small soft">
              {{ span(station) }} · {{ serviceName(station.document.service) ?? 'typed, or from files' }}
            </p>
            <p class="small">
              <template v-if="station.sites.length > 0"
                >tells
                <template v-for="(site, i) in station.sites" :key="site.id"
                  ><template v-if="i > 0">, </template
                  ><NuxtLink :to="`/sites/${site.id}`" class="way-out">{{ site.name }}</NuxtLink></template
                ></template
              ><span v-else class="soft">no site is told by it</span>
            </p>
          </div>
          <span class="flex items-center gap-2">
            <WeatherEntry v-if="person.may('work')" :station="station" @saved="again" />
            <UButton v-if="person.may('work')" label="Change" size="sm" @click="open(station)" />
            <UDropdownMenu :items="[...menuOf(station)]" :content="{ align: 'end' }">
              <UButton icon="i-lucide-ellipsis" size="sm" :aria-label="`More of ${station.name}`" />
            </UDropdownMenu>
          </span>
        </li>
      </ul>
      <template #after>
        <form v-if="entry" class="mt-4 max-w-2xl space-y-3" aria-label="Station" @submit.prevent="save">
          <div class="grid gap-3 sm:grid-cols-2">
            <TextField label="Name" :text="entry.name" @change="change({ name: $event })" />
            <ChoiceField
              label="Its readings come"
              :value="entry.service"
              :choices="serviceChoices"
              @change="change({ service: $event })"
            />
            <TextField
              label="Latitude, degrees (south below zero)"
              :text="entry.latitude"
              :problem="problems.latitude"
              @change="change({ latitude: $event })"
            />
            <TextField
              label="Longitude, degrees (west below zero)"
              :text="entry.longitude"
              :problem="problems.longitude"
              @change="change({ longitude: $event })"
            />
          </div>
          <p v-if="failed" role="alert">{{ failed }}</p>
          <p class="flex gap-2">
            <UButton type="submit" label="Keep it" color="primary" variant="solid" />
            <UButton label="Leave it" @click="entry = undefined" />
          </p>
        </form>
        <p class="soft small mt-4">
          A site names its station on its own page; one that names none is told by the first. Simulated
          stations are made up: they are for learning. What a real service sends is described in
          docs/weather-lines.md.
        </p>
      </template>
    </ListPlace>
  </div>
</template>

<style scoped>
.station {
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 6px 14px;
  padding: 10px 0;
  align-items: start;
}
@media (max-width: 640px) {
  .station {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
