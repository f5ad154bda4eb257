<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { lineCost } from '#core/job/cost/lineCost'
import type { LibraryProduct } from '#core/draft/fromLibrary'
import type { Package } from '#core/label/productShape'
import { showCost, SYSTEM_UNITS } from '#core/quantity/systems'

/** The packages it is sold in, and what each makes the first rate cost on the ground. */
const props = defineProps<{ product: LibraryProduct }>()
const { set, locked } = useForm()
const crew = useCrewStore()
const packages = computed(() => props.product.document.packages)
const line = computed(() => props.product.document.lines[0])
const currency = computed(() => crew.organization?.settings.currency ?? 'USD')

function cost(pack: Package) {
  const perArea = line.value && lineCost(props.product, line.value, pack)
  return perArea === undefined ? undefined : showCost(perArea, currency.value, crew.units)
}
const addPackage = () =>
  set('document.packages', [
    ...packages.value,
    { id: uuid(), size: { text: '', unit: SYSTEM_UNITS[crew.units].weight }, price: '' },
  ])
</script>

<template>
  <section aria-labelledby="packages-title" class="space-y-2">
    <div class="flex items-baseline gap-4">
      <h2 id="packages-title">Packages</h2>
      <UButton v-if="!locked" variant="link" size="sm" @click="addPackage"> Add a package </UButton>
    </div>
    <div v-for="(pack, i) in packages" :key="pack.id" class="fields items-end">
      <QuantityField :path="`document.packages.${i}.size`" />
      <TextField :path="`document.packages.${i}.price`" :label="`Price, ${currency}`" />
      <p class="pb-1">
        <strong v-if="cost(pack)"
          ><FigureText
            :shown="cost(pack)!"
            :page="line ? `cost.${line.id}.${pack.id}` : undefined"
            label="Cost" /></strong
        ><span v-else class="soft small">cost not known</span>
      </p>
      <RemoveButton path="document.packages" :list="packages" :id="pack.id" :what="`package ${i + 1}`" />
    </div>
    <p v-if="packages.length > 0 && line" class="soft small">
      Cost at the usual rate{{ line.use ? ` for ${line.use}` : '' }}.
    </p>
  </section>
</template>
