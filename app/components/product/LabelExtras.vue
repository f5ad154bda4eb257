<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { NITROGEN_FORMS, type ProductDocument } from '#core/label/productDocument'
import { blankIn } from '#core/quantity/entered'
import { AMOUNT_UNITS, TIME_UNITS } from '#core/quantity/units'

/**
 * What else a label or the crew knows of a product: forms of nitrogen, coating, salt, pH of the mix, cups
 * weighed once, dial numbers of the package.
 */
const props = defineProps<{ document: ProductDocument }>()
const { set, locked } = useForm()
const feeds = computed(() => props.document.analysis.n.text.trim() !== '')
const wet = computed(() => props.document.form !== 'granule')
const forms = computed(
  () =>
    props.document.nForms ?? {
      nitrate: blankIn('%' as const),
      ammonium: blankIn('%' as const),
      urea: blankIn('%' as const),
    },
)
const ph = computed(() => props.document.ph ?? { from: '', to: '', last: '' as const })
const measures = computed(() => props.document.measures ?? [])
const dials = computed(() => props.document.dials ?? [])
const orders = [
  { value: '', text: 'by its form' },
  { value: 'last', text: 'last, pH set' },
] as const
const open = computed(
  () =>
    [props.document.coating, props.document.saltIndex, ph.value.from, ph.value.to].some((text) =>
      text?.trim(),
    ) ||
    measures.value.length > 0 ||
    dials.value.length > 0 ||
    props.document.nForms !== undefined,
)
const addMeasure = () =>
  set('document.measures', [
    ...measures.value,
    { id: uuid(), tool: 'cup', marks: '', holds: blankIn(wet.value ? 'fl oz' : 'oz') },
  ])
const addDial = () => set('document.dials', [...dials.value, { id: uuid(), spreader: '', dial: '' }])
</script>

<template>
  <details :open="open">
    <summary class="way-out small">Forms of nitrogen, pH, cups weighed once, printed dial numbers</summary>
    <div class="mt-2 space-y-3">
      <div v-if="feeds" class="grid grid-cols-3 gap-2">
        <QuantityField
          v-for="form in NITROGEN_FORMS"
          :key="form"
          :path="`document.nForms.${form}`"
          :label="`N as ${form}`"
          kind="percent"
          :entered="forms[form]"
          :locked="locked"
          @change="set('document.nForms', { ...forms, [form]: $event })"
        />
        <FormText
          path="document.coating"
          label="Slowed by"
          :text="document.coating ?? ''"
          placeholder="polymer, sulfur"
        />
        <FormQuantity
          path="document.releases"
          label="Releases over"
          kind="time"
          :entered="document.releases ?? { text: '', unit: 'wk' }"
          :units="TIME_UNITS"
        />
        <FormText path="document.saltIndex" label="Salt index" :text="document.saltIndex ?? ''" />
      </div>
      <div v-if="wet" class="grid grid-cols-3 gap-2">
        <LabelledField v-slot="{ id }" label="pH of the mix from"
          ><input
            :id="id"
            class="field"
            data-path="document.ph.from"
            :value="ph.from"
            :disabled="locked"
            inputmode="decimal"
            maxlength="6"
            @input="set('document.ph', { ...ph, from: ($event.target as HTMLInputElement).value })"
        /></LabelledField>
        <LabelledField v-slot="{ id }" label="to"
          ><input
            :id="id"
            class="field"
            data-path="document.ph.to"
            :value="ph.to"
            :disabled="locked"
            inputmode="decimal"
            maxlength="6"
            @input="set('document.ph', { ...ph, to: ($event.target as HTMLInputElement).value })"
        /></LabelledField>
        <ChoiceField
          path="document.ph.last"
          label="Goes in"
          :value="ph.last"
          :choices="orders"
          :locked="locked"
          @change="set('document.ph', { ...ph, last: $event })"
        />
      </div>
      <div
        v-for="(measure, i) in measures"
        :key="measure.id"
        class="grid grid-cols-[1.2fr_1.2fr_70px_auto] items-end gap-2"
      >
        <FormText :path="`document.measures.${i}.tool`" label="One level" :text="measure.tool" />
        <FormQuantity
          :path="`document.measures.${i}.holds`"
          label="holds of it"
          kind="amount"
          :entered="measure.holds"
          :units="AMOUNT_UNITS"
        />
        <FormText :path="`document.measures.${i}.marks`" label="Marks" :text="measure.marks" />
        <button
          v-if="!locked"
          type="button"
          class="plain-button way-out small pb-1.5"
          @click="
            set(
              'document.measures',
              measures.filter(({ id }) => id !== measure.id),
            )
          "
        >
          Remove<span class="sr-only"> {{ measure.tool }}</span>
        </button>
      </div>
      <div v-for="(dial, i) in dials" :key="dial.id" class="grid grid-cols-[1.6fr_1fr_auto] items-end gap-2">
        <FormText
          :path="`document.dials.${i}.spreader`"
          label="Printed for this spreader"
          :text="dial.spreader"
        />
        <FormText :path="`document.dials.${i}.dial`" label="dial, a guess" :text="dial.dial" />
        <button
          v-if="!locked"
          type="button"
          class="plain-button way-out small pb-1.5"
          @click="
            set(
              'document.dials',
              dials.filter(({ id }) => id !== dial.id),
            )
          "
        >
          Remove<span class="sr-only"> {{ dial.spreader }}</span>
        </button>
      </div>
      <p v-if="!locked" class="small flex flex-wrap gap-x-4">
        <button type="button" class="plain-button way-out" @click="addMeasure">Weigh a cup of it</button>
        <button v-if="!wet" type="button" class="plain-button way-out" @click="addDial">
          Note a printed dial number
        </button>
      </p>
    </div>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
}
</style>
