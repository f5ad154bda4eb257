<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { blankRateLine } from '#core/label/blankProduct'
import { RATE_BASES, RATE_BASIS_NAMES } from '#core/label/label'
import type { ProductDocument, RateLine } from '#core/label/productDocument'
import { TIME_UNITS } from '#core/quantity/units'
import { rateUnitsFor } from '~/components/job/rate/rateUnits'

/** The rate lines of a label: one for each use, with its limits, in the units they were printed in. */
const props = defineProps<{ document: ProductDocument }>()
const { set, locked } = useForm()
const crew = useCrewStore()
const units = computed(() => rateUnitsFor(props.document.form === 'granule' ? 'spread' : 'spray'))
const bases = RATE_BASES.map((basis) => ({ value: basis, text: RATE_BASIS_NAMES[basis] }))
/** What is typed there already is not hidden. */
const hasMore = ({
  method = '',
  growth = '',
  heatUnits = '',
  yearActive,
  grasses = [],
  perYear = '',
  inRow = '',
  figures = {},
}: RateLine) =>
  [method, growth, heatUnits, yearActive?.text, perYear, inRow, ...grasses].some(Boolean) ||
  Object.values(figures).some(({ text }) => text !== '')
const addLine = () =>
  set('document.lines', [...props.document.lines, blankRateLine(uuid(), props.document.form, crew.units)])
const dropLine = (id: string) =>
  set(
    'document.lines',
    props.document.lines.filter((line) => line.id !== id),
  )
</script>

<template>
  <section aria-labelledby="lines-title" class="space-y-3">
    <div class="flex items-baseline gap-4">
      <h2 id="lines-title">Rates on the label</h2>
      <button v-if="!locked" type="button" class="plain-button way-out small" @click="addLine">
        Add a rate line
      </button>
    </div>
    <div v-for="(line, i) in document.lines" :key="line.id" class="rule-b space-y-2 pb-3">
      <div class="grid grid-cols-2 gap-2 sm:grid-cols-3">
        <FormText
          :path="`document.lines.${i}.use`"
          label="Use: target, grass"
          :text="line.use"
          placeholder="as on the label"
          class="sm:col-span-2"
        />
        <FormChoice
          :path="`document.lines.${i}.basis`"
          label="The rate counts"
          :value="line.basis"
          :choices="bases"
        />
        <FormQuantity
          :path="`document.lines.${i}.rate`"
          label="Usual rate"
          kind="rate"
          :entered="line.rate"
          :units="units"
        />
        <FormQuantity
          :path="`document.lines.${i}.low`"
          label="Lowest"
          kind="rate"
          :entered="line.low"
          :units="units"
        />
        <FormQuantity
          :path="`document.lines.${i}.high`"
          label="Highest"
          kind="rate"
          :entered="line.high"
          :units="units"
        />
        <FormQuantity
          :path="`document.lines.${i}.most`"
          label="Most in one go"
          kind="rate"
          :entered="line.most"
          :units="units"
        />
        <FormQuantity
          :path="`document.lines.${i}.year`"
          label="Most in a year"
          kind="rate"
          :entered="line.year"
          :units="units"
        />
        <div class="grid grid-cols-2 gap-2">
          <FormQuantity
            :path="`document.lines.${i}.repeatFrom`"
            label="Repeat from"
            kind="time"
            :entered="line.repeatFrom"
            :units="TIME_UNITS"
          />
          <FormQuantity
            :path="`document.lines.${i}.repeatTo`"
            label="at the latest"
            kind="time"
            :entered="line.repeatTo"
            :units="TIME_UNITS"
          />
        </div>
      </div>
      <PrintedRate v-if="!locked" :line="line" :path="`document.lines.${i}`" />
      <LineLimits :line="line" :path="`document.lines.${i}`" :open="hasMore(line)" />
      <button
        v-if="document.lines.length > 1 && !locked"
        type="button"
        class="plain-button way-out small"
        @click="dropLine(line.id)"
      >
        Remove this line
      </button>
    </div>
  </section>
</template>
