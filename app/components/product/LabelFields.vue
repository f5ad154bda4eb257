<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { FORMS } from '#core/label/label'
import { PRODUCT_KINDS, type ProductDocument } from '#core/label/productDocument'
import { AMOUNT_UNITS, DENSITY_UNITS, TIME_UNITS } from '#core/quantity/units'

/**
 * What the label says of the product itself: kind, form, analysis, actives with their mode-of-action group.
 */
const props = defineProps<{ document: ProductDocument }>()
const { set, locked } = useForm()
const choices = <V extends string>(values: readonly V[], blank = 'none printed') =>
  values.map((value) => ({ value, text: value === '' ? blank : value }))
const signals = choices(['', 'caution', 'warning', 'danger'] as const)
const nutrients = [
  ['n', 'N'],
  ['p2o5', 'P2O5'],
  ['k2o', 'K2O'],
  ['fe', 'Fe'],
  ['slowN', 'Slow share of N'],
] as const
const addActive = () =>
  set('document.actives', [
    ...props.document.actives,
    { id: uuid(), name: '', content: { text: '', unit: '%' }, group: '' },
  ])
const dropActive = (id: string) =>
  set(
    'document.actives',
    props.document.actives.filter((active) => active.id !== id),
  )
</script>

<template>
  <section aria-labelledby="label-title" class="space-y-3">
    <h2 id="label-title">The product</h2>
    <div class="fields">
      <FormChoice
        path="document.kind"
        label="Kind"
        :value="document.kind"
        :choices="choices(PRODUCT_KINDS)"
      />
      <FormChoice path="document.form" label="Form" :value="document.form" :choices="choices(FORMS)" />
      <FormQuantity
        path="document.density"
        label="Density"
        kind="density"
        :entered="document.density"
        :units="DENSITY_UNITS"
      />
      <FormQuantity
        v-if="document.form === 'granule'"
        path="document.grain"
        label="Grain size, middle"
        kind="grain"
        :entered="document.grain ?? { text: '', unit: 'mm' }"
        hint="alike share a curve"
      />
      <FormText
        path="document.registration"
        label="Registration no."
        :text="document.registration"
        placeholder="as on the label"
      />
      <FormQuantity
        path="document.reentry"
        label="Nobody back for"
        kind="time"
        :entered="document.reentry"
        :units="TIME_UNITS"
        hint="blank: once dry"
      />
      <FormChoice path="document.signal" label="Signal word" :value="document.signal" :choices="signals" />
    </div>
    <div class="fields">
      <FormQuantity
        v-for="[name, label] in nutrients"
        :key="name"
        :path="`document.analysis.${name}`"
        :label="label"
        kind="percent"
        :entered="document.analysis[name]"
      />
    </div>
    <ActiveLine
      v-for="(active, i) in document.actives"
      :key="active.id"
      :active="active"
      :index="i"
      @drop="dropActive(active.id)"
    />
    <UButton v-if="!locked" variant="link" size="sm" @click="addActive"> Add an active ingredient </UButton>
    <div class="fields">
      <FormQuantity
        path="document.reorderAt"
        label="To be bought at"
        kind="amount"
        :entered="document.reorderAt"
        :units="AMOUNT_UNITS"
        hint="stock at or under this is low"
      />
      <FormQuantity
        path="document.shelfLife"
        label="Keeps for, unopened"
        kind="time"
        :entered="document.shelfLife ?? { text: '', unit: 'wk' }"
        :units="TIME_UNITS"
      />
      <FormChoice
        v-if="document.analysis.k2o.text.trim()"
        path="document.potassium"
        label="Potassium as"
        :value="document.potassium ?? ''"
        :choices="choices(['', 'chloride', 'sulfate'] as const)"
      />
    </div>
    <LabelExtras :document="document" />
    <GrassChoice path="document.harms" label="It may harm" :chosen="document.harms ?? []" />
    <FormNotes
      path="document.restrictions"
      label="Protective equipment, bees, places where it may not be used"
      :text="document.restrictions ?? ''"
    />
    <FormNotes path="document.notes" label="Notes" :text="document.notes" />
  </section>
</template>
