<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { AREA_USES, CLIPPINGS, PRIORITIES, SUNS } from '#core/ground/areaChoices'
import type { AreaDocument } from '#core/ground/areaShape'
import { GRASSES, GRASS_NAMES, nitrogenWanted } from '#core/ground/grasses'
import { nutrientRangeText } from '#core/quantity/nutrientText'
import { prettyUnits } from '#core/quantity/systems'
import { LENGTH_UNITS } from '#core/quantity/units'

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
      <FormChoice
        :path="`document.grass.${i}.species`"
        label="Grass"
        class="grass"
        :value="grass.species"
        :choices="species"
      />
      <FormQuantity :path="`document.grass.${i}.share`" label="Share" kind="percent" :entered="grass.share" />
      <FormText :path="`document.grass.${i}.cultivar`" label="Cultivar" :text="grass.cultivar" />
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
      <FormChoice
        path="document.use"
        label="What it is"
        :value="document.use"
        :choices="choices(AREA_USES)"
      />
      <FormChoice path="document.sun" label="Sun" :value="document.sun" :choices="choices(SUNS)" />
      <FormChoice
        path="document.priority"
        label="Priority"
        :value="document.priority"
        :choices="choices(PRIORITIES)"
      />
      <FormQuantity path="document.cover" label="Cover" kind="percent" :entered="document.cover" />
      <FormQuantity
        path="document.cut"
        label="Height of cut"
        kind="length"
        :entered="document.cut"
        :units="LENGTH_UNITS"
      />
      <FormChoice
        path="document.clippings"
        label="Clippings"
        :value="document.clippings"
        :choices="choices(CLIPPINGS)"
      />
      <FormQuantity
        path="document.thatch"
        label="Thatch"
        kind="length"
        :entered="document.thatch"
        :units="LENGTH_UNITS"
      />
      <FormDay path="document.established" label="Established" :day="document.established" />
      <FormDay path="document.overseeding" label="Overseeding planned" :day="document.overseeding" />
      <FormChoice
        path="document.irrigation.kind"
        label="Irrigation"
        :value="document.irrigation.kind"
        :choices="zones"
      />
      <template v-if="document.irrigation.kind === 'zone'">
        <FormText path="document.irrigation.zone" label="Zone" :text="document.irrigation.zone" />
        <FormQuantity
          path="document.irrigation.output"
          label="Output in an hour"
          kind="length"
          :entered="document.irrigation.output"
          :units="LENGTH_UNITS"
        />
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
