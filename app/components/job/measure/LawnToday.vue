<script setup lang="ts">
import type { AreaDraft, OwnRate, ProductDraft } from '#core/draft/applicationShape'
import { ownFromLine } from '#core/draft/fromLibrary'
import { blankIn, type Entered } from '#core/quantity/entered'
import type { RateUnit } from '#core/quantity/units'
import { rateUnitsFor } from '../rate/rateUnits'

/**
 * What is done on one lawn today: treated, left, kept as a check plot; and at which rate, where it isn't the
 * product's.
 */
const props = defineProps<{ lawn: AreaDraft; index: number }>()
const { document, set, problemAt, locked } = useSheet()
const library = useLibraryStore()
const choices = [
  { value: 'yes', text: 'treated' },
  { value: 'no', text: 'left out' },
  { value: 'check', text: 'a check plot, untreated' },
] as const
const units = computed(() => rateUnitsFor(document.value.method))
const own = computed(() => props.lawn.own ?? [])
const placeOf = (product: string) => own.value.findIndex((one) => one.product === product)
const enteredFor = (product: string, unit: RateUnit): Entered<RateUnit> =>
  own.value[placeOf(product)]?.rate ?? blankIn(unit)
const problemOf = (product: string) => {
  const problem =
    placeOf(product) < 0 ? undefined : problemAt(`lawns.${props.index}.own.${placeOf(product)}.rate`)
  return problem?.kind === 'wrong' ? problem.message : undefined
}
/** The label's other lines, each with its own range: "by grass" in the label's own words. */
const otherLines = ({ source }: ProductDraft) =>
  (library.products.find(({ id }) => id === source?.id)?.document.lines ?? []).filter(
    ({ id }) => id !== source?.line,
  )
const lineChoices = (product: ProductDraft) => [
  { value: '', text: 'by the same line of the label' },
  ...otherLines(product).map(({ id, use }) => ({ value: id, text: use || 'unnamed use' })),
]
const put = (product: string, next: OwnRate | undefined) =>
  set(`lawns.${props.index}.own`, [
    ...own.value.filter((one) => one.product !== product),
    ...(next ? [next] : []),
  ])
const change = (product: string, rate: Entered<RateUnit>) =>
  put(product, rate.text.trim() === '' ? undefined : { ...own.value[placeOf(product)], product, rate })
function takeLine(product: ProductDraft, lineId: string) {
  const line = otherLines(product).find(({ id }) => id === lineId)
  put(product.id, line && ownFromLine(product.id, line))
}
</script>

<template>
  <div class="fields pb-2">
    <ChoiceField :path="`lawns.${index}.treated`" label="Today it is" :choices="choices" />
    <template v-if="lawn.treated === 'yes'">
      <div v-for="(product, i) in document.products" :key="product.id" class="space-y-1">
        <QuantityField
          :path="`lawns.${index}.own.${i}`"
          :label="`${product.name || `Product ${i + 1}`} here, if other`"
          kind="rate"
          :entered="enteredFor(product.id, product.rate.unit)"
          :units="units"
          :locked="locked"
          :problem="problemOf(product.id)"
          @change="change(product.id, $event)"
        />
        <ChoiceField
          v-if="otherLines(product).length > 0 && !locked"
          bare
          :label="`Line of the label for ${lawn.name}`"
          :value="own[placeOf(product.id)]?.line ?? ''"
          :choices="lineChoices(product)"
          @change="takeLine(product, $event)"
        />
      </div>
    </template>
  </div>
</template>
