<script setup lang="ts">
import type { ProductDraft } from '#core/draft/applicationShape'
import { PRODUCT_NOTE_FIELDS } from '#core/draft/applicationFields'
import { RATE_BASIS_NAMES } from '#core/label/label'
import type { RateLine } from '#core/label/productShape'
import type { KnownName } from '~/components/field/NameField.vue'
import { rateUnitsFor } from './rateUnits'

/**
 * One product of the application: its name, its rate on the label's own scale, its amount on this ground. A
 * key in one of them draws the others anew only where they changed.
 */
const props = defineProps<{
  product: ProductDraft
  index: number
  names: readonly KnownName[]
  lines: readonly RateLine[]
}>()
const emit = defineEmits<{
  name: [index: number, typed: string]
  line: [index: number, lineId: string]
  drop: [id: string]
}>()
const { document, sheet, locked } = useSheet()
const shown = useShown()
const method = computed(() => document.value.method)
const units = computed(() => rateUnitsFor(method.value))
const alone = computed(() => document.value.products.length === 1)
const uses = computed(() => props.lines.map(({ id, use }) => ({ value: id, text: use || 'unnamed use' })))
const planned = steady(() => sheet.value.products[props.index])
/** A rate of nitrogen is no rate of product, and says so; the product of it stands beside. */
const rateLabel = computed(() => {
  const { basis = 'product' } = props.product
  return basis === 'product' ? PRODUCT_NOTE_FIELDS.rate.label : `Rate of ${RATE_BASIS_NAMES[basis]}`
})
const amount = steady(
  () => sheet.value.plan?.totals.products.find((total) => total.id === props.product.id)?.amount,
)
</script>

<template>
  <li class="rule-b py-1.5">
    <FormFold :section="`products.${index}`" :words="`label of ${product.name || `product ${index + 1}`}`">
      <template #line>
        <div class="fields items-end">
          <NameField
            class="named"
            :label="`Product ${index + 1}`"
            placeholder="as on the label"
            :text="product.name"
            :names="names"
            :path="`products.${index}.name`"
            :locked="locked"
            @change="emit('name', index, $event)"
          />
          <ChoiceField
            v-if="lines.length > 1"
            class="named"
            :label="`Label line of ${product.name}`"
            :value="product.source?.line ?? ''"
            :choices="uses"
            :locked="locked"
            @change="emit('line', index, $event)"
          />
        </div>
      </template>
      <ProductFields :product="product" :index="index" />
      <UButton v-if="!alone && !locked" variant="link" size="sm" @click="emit('drop', product.id)">
        Remove this product
      </UButton>
    </FormFold>
    <div class="rate">
      <QuantityField :path="`products.${index}.rate`" :units="units" :label="rateLabel" />
      <LabelScale v-if="planned" class="scale" :product="planned" :method="method" />
      <p v-if="amount" class="amount" :class="method === 'spray' ? 'wet' : 'dry'">
        <span class="soft small block">on this ground</span>
        <span class="figure"
          ><FigureText
            :shown="shown.amount(amount)"
            :page="`products.${product.id}.amount`"
            :label="product.name"
        /></span>
      </p>
    </div>
  </li>
</template>

<style scoped>
.rate > :first-child {
  flex: 0 1 250px;
}
.named {
  flex: 2 1 240px;
}
.rate {
  display: flex;
  flex-wrap: wrap;
  align-items: end;
  gap: 8px 18px;
  margin-top: 6px;
}
.scale {
  flex: 1 1 110px;
  max-width: 300px;
}
.amount {
  margin-left: auto;
  text-align: right;
}
</style>
