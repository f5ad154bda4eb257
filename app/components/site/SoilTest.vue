<script setup lang="ts">
import { SOIL_LEVELS, type AreaDocument } from '#core/ground/areaDocument'
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
  <div class="grid grid-cols-2 gap-2 sm:grid-cols-[1.7fr_0.8fr_1fr_1.1fr_1.1fr]">
    <DayField label="Soil test of" :day="test.on" :locked="locked" @change="change({ on: $event })" />
    <LabelledField v-slot="{ id }" label="pH">
      <input
        :id="id"
        class="field"
        data-path="document.soilTest.ph"
        :value="test.ph"
        :disabled="locked"
        inputmode="decimal"
        maxlength="6"
        :aria-invalid="wrong('document.soilTest.ph') ? 'true' : undefined"
        @input="change({ ph: ($event.target as HTMLInputElement).value })"
      />
      <p v-if="wrong('document.soilTest.ph')" class="small" style="color: var(--stop)" role="alert">
        {{ wrong('document.soilTest.ph') }}
      </p>
    </LabelledField>
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
      label="Organic matter"
      kind="percent"
      :entered="test.organic"
      :locked="locked"
      :problem="wrong('document.soilTest.organic')"
      @change="change({ organic: $event })"
    />
  </div>
</template>
