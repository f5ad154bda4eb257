<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import { counted } from '#core/quantity/counting'
import { celsius } from '#core/quantity/temperature'
import { parseQuantity } from '#core/quantity/parseQuantity'
import { readLatitude } from '#core/weather/readLatitude'
import { v7 as uuid } from 'uuid'

/** A day's high and low, typed; without a station one is made first. */
const props = defineProps<{ station: { readonly id: string; readonly name: string } | undefined }>()
const emit = defineEmits<{ saved: [] }>()
const crew = useCrewStore()
const notice = useNotice()
const open = ref(false)
/** Its id is made with it: tried again after a lost answer no second station is made. */
const blank = () => ({
  stationId: uuid(),
  name: '',
  latitude: '',
  on: crew.today(),
  low: { text: '', unit: crew.temperatureUnit },
  high: { text: '', unit: crew.temperatureUnit },
})
const entry = ref(blank())
const problems = ref<Readonly<Partial<Record<'low' | 'high' | 'latitude' | 'day', string>>>>({})
const failed = ref<string>()

const {
  read,
  problems: fileProblems,
  more,
  open: openFile,
  take,
  drop,
  unit: fileUnit,
  say,
} = useWeatherFile()
const span = computed(() => {
  const days = read.value?.days ?? []
  const [first, last] = [days[0], days.at(-1)]
  return first && last ? `${counted(days.length, 'day')}, ${dayText(first.on)} to ${dayText(last.on)}` : ''
})
async function takeFile() {
  problems.value = placeProblem()
  if (problems.value.latitude) return
  try {
    const taken = await take(props.station?.id ?? (await makeStation()))
    notice.say(`${taken} taken in.`)
  } catch (error) {
    failed.value = errorText(error)
    return
  }
  open.value = false
  emit('saved')
}

/** Blank is not known yet; what is typed must be a latitude. */
const placeProblem = () =>
  props.station || entry.value.latitude.trim() === '' || readLatitude(entry.value.latitude) !== undefined
    ? {}
    : { latitude: 'Degrees from -90 to 90, such as 41.3; south below zero.' }

async function save() {
  const figureOf = (name: 'low' | 'high') => {
    const { text, unit: own } = entry.value[name]
    return parseQuantity(text, 'temperature', own)
  }
  const [low, high] = [figureOf('low'), figureOf('high')]
  problems.value = {
    ...placeProblem(),
    ...(entry.value.on === '' && { day: 'The day of these figures.' }),
    ...(!low.ok && { low: low.error.message }),
    ...(!high.ok && { high: high.error.message }),
  }
  if (!low.ok || !high.ok || problems.value.latitude || problems.value.day) return
  try {
    const id = props.station?.id ?? (await makeStation())
    await tell('POST', `/stations/${id}/days`, {
      days: [{ on: entry.value.on, least: celsius(low.value), most: celsius(high.value), forecast: false }],
    })
  } catch (error) {
    failed.value = errorText(error)
    return
  }
  failed.value = undefined
  open.value = false
  entry.value = blank()
  notice.say('The day is kept.')
  emit('saved')
}
async function makeStation(): Promise<string> {
  const id = entry.value.stationId
  await tell('PUT', `/library/stations/${id}`, {
    version: 0,
    name: entry.value.name.trim() || 'Our own thermometer',
    document: { schema: 1, latitude: entry.value.latitude, longitude: '', notes: '' },
  })
  return id
}
</script>

<template>
  <UPopover v-model:open="open">
    <UButton icon="i-lucide-thermometer" label="Weather" />
    <template #content>
      <form class="grid w-72 gap-3 p-4" @submit.prevent="save">
        <p v-if="station" class="soft small">A day of {{ station.name }}.</p>
        <template v-else>
          <TextField label="Name of the station" :text="entry.name" @change="entry.name = $event" />
          <TextField
            label="Latitude, degrees (south below zero)"
            :text="entry.latitude"
            @change="entry.latitude = $event"
          />
          <p v-if="problems.latitude" role="alert" class="small">{{ problems.latitude }}</p>
        </template>
        <DayField label="Day" :day="entry.on" @change="entry.on = $event" />
        <p v-if="problems.day" role="alert" class="small">{{ problems.day }}</p>
        <QuantityField
          path="low"
          label="Low"
          kind="temperature"
          :entered="entry.low"
          :units="['°F', '°C']"
          :problem="problems.low"
          @change="entry.low = $event"
        />
        <QuantityField
          path="high"
          label="High"
          kind="temperature"
          :entered="entry.high"
          :units="['°F', '°C']"
          :problem="problems.high"
          @change="entry.high = $event"
        />
        <p v-if="failed" role="alert">{{ failed }}</p>
        <UButton type="submit" label="Keep it" color="primary" variant="solid" />
        <FilePick
          label="Take in a file"
          accept=".csv,.txt,.dly,.json,text/csv,text/plain,application/json"
          @file="openFile"
        />
        <p v-if="span" role="status">
          <strong>{{ span }}</strong>
        </p>
        <URadioGroup
          v-if="read?.unitsUntold"
          legend="Its temperatures name no unit: they are in"
          orientation="horizontal"
          :items="['°F', '°C']"
          :model-value="fileUnit"
          @update:model-value="say($event === '°C' ? '°C' : '°F')"
        />
        <ul v-if="fileProblems.length > 0" role="alert" class="small">
          <li v-for="one in fileProblems" :key="one">{{ one }}</li>
          <li v-if="more > 0">and {{ more }} more</li>
        </ul>
        <p v-if="read" class="flex gap-2">
          <UButton
            v-if="span"
            size="sm"
            color="primary"
            variant="solid"
            label="Take them in"
            @click="takeFile"
          />
          <UButton size="sm" label="Leave it" @click="drop" />
        </p>
        <p class="soft small">
          A table of days (low, high) or of hours (time, temp), the daily climate file of a national service,
          or our own JSON.
        </p>
      </form>
    </template>
  </UPopover>
</template>
