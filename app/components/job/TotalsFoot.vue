<script setup lang="ts">
import type { Figure } from '#core/working/figures'
import { formatFigure, formatGive } from '#core/quantity/format'
import { NUTRIENTS, NUTRIENT_NAMES } from '#core/label/label'
import { showQuantity, unitText, type Shown } from '#core/quantity/systems'

/** The ruled foot: what the whole application comes to, always in view. */
const { sheet, document } = useSheet()
const shown = useShown()
const working = useWorkingStore()
const phone = usePhone()

interface Total {
  readonly label: string
  readonly shown: Shown
  readonly page?: Figure
  readonly kind?: string
  readonly give?: string
}

/** Two standard deviations of the ground, as a share of it: amounts are off by as much. */
const share = computed(() => (sheet.value.sd > 0 ? (2 * sheet.value.sd) / sheet.value.size : undefined))
const give = (told: (share: number) => string) =>
  share.value === undefined ? undefined : `± ${told(share.value)}`

const totals = steadyRows<Total>(() => {
  const { plan, size } = sheet.value
  if (!plan) return size > 0 ? [{ label: 'Lawn', shown: shown.size(size) }] : []
  const { mix, carrier } = plan.totals
  const wet: readonly Total[] =
    mix && carrier
      ? [
          { label: 'To mix', shown: showQuantity(mix), page: 'mix', kind: 'wet' },
          {
            label: 'On the lawn',
            shown: showQuantity(carrier),
            page: 'carrier',
            kind: 'wet',
            give: give((part) => formatGive(part * carrier.value)),
          },
        ]
      : []
  const products = plan.totals.products.map((total, i): Total => ({
    label: document.value.products[i]?.name || `Product ${i + 1}`,
    shown: shown.amount(total.amount),
    page: `products.${total.id}.amount`,
    give: give((part) => shown.giveOfAmount(part, total.amount)),
  }))
  const nutrients = NUTRIENTS.flatMap((name): Total[] => {
    const laid = plan.nutrients?.[name]
    return laid && laid.value > 0
      ? [
          {
            label: `${NUTRIENT_NAMES[name]} planned`,
            shown: { figure: formatFigure(laid.value), unit: unitText(laid.unit) },
            page: `nutrients.${name}`,
          },
        ]
      : []
  })
  return [
    {
      label: 'Lawn',
      shown: shown.size(size),
      page: 'ground.size',
      give: give((part) => shown.giveOfSize(part, size)),
    },
    ...wet,
    ...products,
    ...nutrients,
  ]
})
</script>

<template>
  <footer class="foot" aria-label="Totals">
    <dl v-if="totals.length > 0">
      <div v-for="total in totals" :key="total.label">
        <dt class="small">{{ total.label }}</dt>
        <dd class="figure" :class="total.kind">
          <FigureText :shown="total.shown" :page="total.page" :label="total.label" /><span
            v-if="total.give"
            class="unit"
            >{{ total.give }}</span
          >
        </dd>
      </div>
    </dl>
    <p v-else class="soft">Totals stand here.</p>
    <ULink v-if="!phone" raw class="small whitespace-nowrap" aria-keyshortcuts="w" @click="working.show()">
      Show working <kbd>W</kbd>
    </ULink>
    <slot />
  </footer>
</template>

<style scoped>
.foot {
  contain: layout style;
  border-top: 1.5px solid var(--ink);
  display: flex;
  align-items: center;
  justify-content: space-between;
  gap: 20px;
  padding: 8px 24px;
  background: var(--paper);
}
dl {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 24px;
  min-width: 0;
}
dt {
  line-height: 1.2;
  max-width: 190px;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
}
@media (max-width: 900px) {
  .foot {
    padding: 8px 16px;
    align-items: center;
  }
  /* Positioned, so that what is read aloud only scrolls with it. */
  dl {
    position: relative;
    flex-wrap: nowrap;
    overflow-x: auto;
    gap: 20px;
  }
  /* It can be pushed aside here: nothing of a name is cut. */
  dt {
    max-width: none;
  }
  dd {
    white-space: nowrap;
  }
}
</style>
