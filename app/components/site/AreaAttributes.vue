<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { AREA_USES, CLIPPINGS, PRIORITIES, SUNS } from '#core/ground/areaChoices'
import type { AreaDocument } from '#core/ground/areaShape'
import { GRASSES, GRASS_NAMES, nitrogenWanted } from '#core/ground/grasses'
import { nutrientRangeText } from '#core/quantity/nutrientText'
import { prettyUnits } from '#core/quantity/systems'

/** What grows on an area and how it is kept: what later limits, windows and budgets depend on. */
const props = defineProps<{ document: AreaDocument }>()
const { set, locked } = useForm()
const crew = useCrewStore()
const choices = <V extends string>(values: readonly V[], blank = 'not noted') =>
  values.map((value) => ({ value, text: value === '' ? blank : value }))
const species = GRASS_NAMES.map((name) => ({ value: name, text: `${name} (${GRASSES[name].season}-season)` }))
const WEEKDAYS = ['Sun', 'Mon', 'Tue', 'Wed', 'Thu', 'Fri', 'Sat'].map((label, day) => ({
  label,
  value: String(day),
}))
const mown = computed(() => (props.document.mownOn ?? []).map(String))
const setMown = (ticked: readonly string[]) => set('document.mownOn', ticked.map(Number).toSorted())
const zones = [
  { value: 'none', text: 'none' },
  { value: 'zone', text: 'a zone' },
] as const
const wanted = computed(() => nitrogenWanted(props.document.grass.map((grass) => grass.species)))
const addGrass = () =>
  set('document.grass', [
    ...props.document.grass,
    { id: uuid(), species: 'tall fescue', share: { text: '', unit: '%' }, cultivar: '' },
  ])
</script>

<template>
  <section aria-labelledby="kept-title" class="space-y-2">
    <h2 id="kept-title">What grows there</h2>
    <div v-for="(grass, i) in document.grass" :key="grass.id" class="fields items-end">
      <ChoiceField :path="`document.grass.${i}.species`" label="Grass" class="grass" :choices="species" />
      <QuantityField :path="`document.grass.${i}.share`" />
      <TextField :path="`document.grass.${i}.cultivar`" label="Cultivar" />
      <RemoveButton path="document.grass" :list="document.grass" :id="grass.id" :what="grass.species" />
    </div>
    <p class="small flex flex-wrap gap-x-4">
      <UButton v-if="!locked" variant="link" size="sm" @click="addGrass">Add a grass</UButton>
      <span v-if="wanted" class="soft"
        >wants {{ prettyUnits(nutrientRangeText(wanted, 'N', crew.units)) }} a year{{
          document.grass.length > 1 ? ', the most limiting rules' : ''
        }}</span
      >
    </p>
    <div class="fields">
      <ChoiceField path="document.use" label="What it is" :choices="choices(AREA_USES)" />
      <ChoiceField path="document.sun" label="Sun" :choices="choices(SUNS)" />
      <ChoiceField path="document.priority" label="Priority" :choices="choices(PRIORITIES)" />
      <QuantityField path="document.cover" />
      <QuantityField path="document.cut" />
      <ChoiceField path="document.clippings" label="Clippings" :choices="choices(CLIPPINGS)" />
      <QuantityField path="document.thatch" />
      <DayField path="document.established" label="Established" />
      <DayField path="document.overseeding" label="Overseeding planned" />
      <ChoiceField path="document.irrigation.kind" label="Irrigation" :choices="zones" />
      <template v-if="document.irrigation.kind === 'zone'">
        <TextField path="document.irrigation.zone" label="Zone" />
        <QuantityField path="document.irrigation.output" />
      </template>
    </div>
    <UCheckboxGroup
      orientation="horizontal"
      legend="Mown on"
      :model-value="mown"
      :items="WEEKDAYS"
      :disabled="locked"
      @update:model-value="setMown"
    />
    <GrassChoice
      v-if="document.overseeding"
      path="document.overseedWith"
      label="Seed to be sown then"
      :chosen="document.overseedWith ?? []"
    />
    <SoilTest :document="document" />
    <DiseaseList :document="document" />
    <div class="fields">
      <FormNotes path="document.soil" label="Soil: disturbed ground, drainage" :text="document.soil" />
      <FormNotes path="document.notes" label="Notes" :text="document.notes" />
    </div>
  </section>
</template>

<style scoped>
.fields > .grass {
  flex: 1.4 1 216px;
}
</style>
