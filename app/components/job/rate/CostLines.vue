<script setup lang="ts">
import { SQUARE_METRES_PER } from '#core/quantity/units'
import { showCost } from '#core/quantity/systems'

/** What the product of this application costs, and what it leaves in the open package. */
const { sheet, document } = useSheet()
const cost = computed(() => sheet.value.cost)
/** Not drawn anew at every key while it is folded. */
const open = ref(false)
const shown = useShown()
const crew = useCrewStore()
const currency = computed(() => crew.organization?.settings.currency ?? 'USD')
const money = (value: number) => ({ figure: value.toFixed(2), unit: currency.value })
const known = computed(() => cost.value?.products.some((one) => one.cost !== undefined || one.left))
const nameOf = (id: string) => document.value.lawns.find((lawn) => lawn.id === id)?.name ?? ''
</script>

<template>
  <details v-if="cost && known" class="mt-4" @toggle="open = ($event.target as HTMLDetailsElement).open">
    <summary>
      <h2 class="inline">Cost</h2>
      <strong v-if="cost.whole !== undefined" class="num"
        >{{ money(cost.whole).figure }} {{ currency }}</strong
      >
    </summary>
    <template v-if="open">
      <p v-if="cost.whole !== undefined && cost.perThousand !== undefined" class="small">
        Together
        <FigureText :shown="money(cost.whole)" page="cost.job" label="Product of this application" />,
        <FigureText
          :shown="showCost(cost.perThousand / SQUARE_METRES_PER['1000 ft2'], currency, crew.units)"
        />
      </p>
      <ul class="small">
        <li v-for="one in cost.products" :key="one.productId" class="rule-b py-1">
          {{ one.name }}:
          <FigureText
            v-if="one.cost !== undefined"
            :shown="money(one.cost)"
            :page="`cost.job.${one.productId}`"
            :label="`Cost of ${one.name}`"
          /><span v-else class="soft">price not known</span>
          <span v-if="one.pack" class="soft"
            >, out of {{ one.pack.size.text }} {{ one.pack.size.unit }} at {{ one.pack.price }}</span
          >
          <span v-if="one.left" class="block" :class="one.left.amount < 0 ? 'short' : 'soft'">
            <template v-if="one.left.amount < 0"
              >{{ shown.stock({ dimension: one.left.dimension, amount: -one.left.amount }).figure }}
              {{ shown.stock({ dimension: one.left.dimension, amount: -one.left.amount }).unit }} short on the
              shelf</template
            >
            <template v-else
              >after it {{ shown.stock(one.left).figure }} {{ shown.stock(one.left).unit }} on hand,
              {{ shown.stock({ ...one.left, amount: one.left.open }).figure }}
              {{ shown.stock({ ...one.left, amount: one.left.open }).unit }} of it in an open
              package</template
            >
          </span>
        </li>
        <li
          v-for="area in cost.areas.length > 1 ? cost.areas : []"
          :key="area.id"
          class="flex justify-between gap-2 py-1"
        >
          <span>{{ nameOf(area.id) }}</span><FigureText
            v-if="area.cost !== undefined"
            :shown="money(area.cost)"
            :page="`cost.area.${area.id}`"
            :label="`Cost on ${nameOf(area.id)}`"
          />
        </li>
      </ul>
    </template>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
}
.short {
  color: var(--warn);
  font-weight: 600;
}
</style>
