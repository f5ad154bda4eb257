<script setup lang="ts">
import { SOIL_LEVELS } from '#core/ground/areaChoices'
import type { AreaDocument } from '#core/ground/areaShape'
import { blankIn } from '#core/quantity/entered'

/** The last soil test: what phosphorus, potassium and lime are held against. Nitrogen is never on it. */
const props = defineProps<{ document: AreaDocument }>()
const { set, locked, problemAt } = useForm()
const test = computed(
  () =>
    props.document.soilTest ?? {
      on: '',
      ph: '',
      p: '' as const,
      k: '' as const,
      organic: blankIn('%' as const),
    },
)
const change = (part: Partial<NonNullable<AreaDocument['soilTest']>>) =>
  set('document.soilTest', { ...test.value, ...part })
const levels = SOIL_LEVELS.map((value) => ({ value, text: value === '' ? 'not known' : value }))
const wrong = (path: string) => (problemAt(path)?.kind === 'wrong' ? problemAt(path)?.message : undefined)
</script>

<template>
  <div class="fields">
    <DayField label="Soil test of" :day="test.on" :locked="locked" @change="change({ on: $event })" />
    <TextField
      label="pH"
      path="document.soilTest.ph"
      :text="test.ph"
      :locked="locked"
      :problem="wrong('document.soilTest.ph')"
      inputmode="decimal"
      :maxlength="6"
      @change="change({ ph: $event })"
    />
    <ChoiceField
      path="document.soilTest.p"
      label="Phosphorus"
      :value="test.p"
      :choices="levels"
      :locked="locked"
      @change="change({ p: $event })"
    />
    <ChoiceField
      path="document.soilTest.k"
      label="Potassium"
      :value="test.k"
      :choices="levels"
      :locked="locked"
      @change="change({ k: $event })"
    />
    <QuantityField
      path="document.soilTest.organic"
      :entered="test.organic"
      :locked="locked"
      @change="change({ organic: $event })"
    />
  </div>
</template>
