<script setup lang="ts">
import { spokenRate } from '#core/label/spokenRate'
import { prettyUnits } from '#core/quantity/systems'

/** A rate said the way people say it: as a target, by what a bag covers, or a bag that is to be used up. */
const props = defineProps<{ index: number }>()
const { document, sheet, set } = useSheet()
const crew = useCrewStore()
const library = useLibraryStore()
const shown = useShown()
const text = ref('')
const readId = useId()
const form = computed(() => (document.value.products[props.index]?.form === 'granule' ? 'dry' : 'liquid'))
const read = computed(() =>
  text.value.trim() === '' ? undefined : spokenRate(text.value, sheet.value.size, crew.units, form.value),
)
/** What the shelf holds of it, as something that could be said. */
const onHand = computed(() => {
  const id = document.value.products[props.index]?.source?.id
  const stock = library.products.find((one) => one.id === id)?.onHand?.find(({ amount }) => amount > 0)
  const { figure, unit } = stock ? shown.stock(stock) : { figure: '', unit: '' }
  return stock ? `use up ${figure} ${unit}` : undefined
})
function take() {
  const product = document.value.products[props.index]
  if (!read.value?.ok || !product) return
  const { rate, basis } = read.value.value
  set(`products.${props.index}`, { ...product, rate, basis: basis ?? 'product' })
  text.value = ''
}
</script>

<template>
  <div class="space-y-1">
    <TextField
      label="Or say the rate"
      :text="text"
      :aria-describedby="readId"
      placeholder="use up 40 lb; 0.6 lb N per 1,000 sq ft"
      @change="text = $event"
      @keydown.enter.prevent.stop="take"
    />
    <UButton v-if="!read && onHand" variant="link" size="sm" @click="text = onHand"
      >{{ onHand }}, all that is on hand</UButton
    >
    <p v-if="read" :id="readId" class="small" :class="{ soft: read.ok }" role="status">
      <template v-if="read.ok"
        >{{ prettyUnits(read.value.words) }}.
        <UButton variant="link" size="sm" @click="take">Take it</UButton></template
      >
      <template v-else>{{ read.error }}</template>
    </p>
  </div>
</template>
