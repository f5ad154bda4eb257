<script setup lang="ts">
import { TURF_STATES } from '#core/ground/turfStates'
import type { ConditionsDraft, AftercareDraft } from '#core/draft/applicationShape'
import { FATES } from '#core/draft/applicationChoices'
import { SYSTEM_UNITS } from '#core/quantity/systems'
import { toldDepth } from '#core/quantity/toldDepth'
import { temperatureSpanIn, toldTemperature } from '#core/quantity/toldTemperature'
import type { TemperatureUnit } from '#core/quantity/units'

/** The turf and the weather as they are expected, where it belongs, and what follows it. */
const { document, set, locked, day: workDay } = useSheet()
const library = useLibraryStore()
const crew = useCrewStore()
const unit = computed<TemperatureUnit>(() => (SYSTEM_UNITS[crew.units].length === 'm' ? '°C' : '°F'))
const day = computed<ConditionsDraft>(
  () =>
    document.value.day ?? {
      turf: '',
      air: { text: '', unit: unit.value },
      soil: { text: '', unit: unit.value },
    },
)
const fate = computed<AftercareDraft>(
  () => document.value.fate ?? { where: '', wait: { text: '', unit: 'h' }, water: '' },
)
const change = (part: Partial<ConditionsDraft>) => set('day', { ...day.value, ...part })
const follow = (part: Partial<AftercareDraft>) => set('fate', { ...fate.value, ...part })
const states = TURF_STATES.map((value) => ({ value, text: value === '' ? 'not noted' : value }))
const places = FATES.map((value) => ({
  value,
  text: value === '' ? 'as the label says' : value === 'soil' ? 'in the soil' : 'on the leaf',
}))
/** What the station of the site says of the day, where nobody noted it. */
const told = computed(() => {
  const { weather } = library
  if (weather?.on !== workDay.value) return undefined
  const degrees = (celsius: number) => toldTemperature(celsius, unit.value)
  const soils = weather.soils.filter(({ areaId }) =>
    document.value.lawns.some(({ source, treated }) => source?.id === areaId && treated === 'yes'),
  )
  const [soil] = soils.toSorted((a, b) => a.soil - b.soil)
  return [
    `${weather.station}${weather.forecast ? ', forecast' : ''}: ` +
      `${degrees(weather.least)} to ${degrees(weather.most)}`,
    weather.rain ? `${toldDepth(weather.rain, crew.units)} of rain` : 'no rain',
    soil && `soil about ${degrees(soil.soil)} ± ${temperatureSpanIn(soil.give, unit.value).toFixed(1)}`,
  ]
    .filter(Boolean)
    .join(', ')
})
const summary = computed(() =>
  [
    day.value.turf,
    day.value.air.text && `${day.value.air.text} ${day.value.air.unit} air`,
    day.value.soil.text && `${day.value.soil.text} ${day.value.soil.unit} soil`,
    fate.value.where && (fate.value.where === 'soil' ? 'into the soil' : 'on the leaf'),
    fate.value.wait.text && `then wait ${fate.value.wait.text} ${fate.value.wait.unit}`,
    fate.value.water && `watered in by ${fate.value.water}`,
  ]
    .filter(Boolean)
    .join(', '),
)
</script>

<template>
  <section aria-labelledby="day-title">
    <FormFold section="day" words="turf, weather and water">
      <template #line>
        <h2 id="day-title">Turf and weather</h2>
        <p class="small" :class="{ soft: summary === '' }">
          {{ summary || (told ? 'not noted' : 'not noted: heat, soil and dormancy are not checked') }}
        </p>
        <p v-if="told" class="small soft">{{ told }}</p>
      </template>
      <div class="fields pb-2">
        <ChoiceField
          path="day.turf"
          label="The turf is"
          :value="day.turf"
          :choices="states"
          :locked="locked"
          @change="change({ turf: $event })"
        />
        <ChoiceField
          path="fate.where"
          label="It belongs"
          :value="fate.where"
          :choices="places"
          :locked="locked"
          @change="follow({ where: $event })"
        />
        <QuantityField path="day.air" :entered="day.air" :locked="locked" @change="change({ air: $event })" />
        <QuantityField
          path="day.soil"
          :entered="day.soil"
          :locked="locked"
          @change="change({ soil: $event })"
        />
        <QuantityField
          path="fate.wait"
          :entered="fate.wait"
          :locked="locked"
          @change="follow({ wait: $event })"
        />
        <TextField
          path="fate.water"
          label="What waters it in"
          :text="fate.water"
          :locked="locked"
          placeholder="zone 2 tonight, rain"
          @change="follow({ water: $event })"
        />
      </div>
    </FormFold>
  </section>
</template>
