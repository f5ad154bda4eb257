<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { dayText } from '#core/calendar/dayText'
import type { Entered } from '#core/quantity/entered'
import type { MovementKind } from '#core/stock/onHand'
import { AMOUNT_UNITS, type AmountUnit } from '#core/quantity/units'
import type { NewMovement, Stock } from '#shared/schemas/product'

/** What is on hand and every movement that made it so; runs book what they used by themselves. */
const props = defineProps<{ productId: string; stock: Stock | undefined; unit: AmountUnit }>()
const emit = defineEmits<{ moved: [] }>()
const crew = useCrewStore()
const shown = useShown()
const kind = ref<NewMovement['kind']>('received')
const entered = shallowRef<Entered<AmountUnit>>({ text: '', unit: props.unit })
const lot = ref('')
const problem = ref<string>()
const KINDS = [
  { value: 'received', text: 'received' },
  { value: 'counted', text: 'counted: there are' },
  { value: 'disposed', text: 'disposed of' },
] as const satisfies readonly { value: NewMovement['kind']; text: string }[]
const WORDS: Readonly<Record<MovementKind, string>> = {
  received: 'received',
  used: 'used',
  counted: 'count',
  disposed: 'disposed of',
}
const MOST = 12
let sending = uuid()

async function book() {
  try {
    await tell('POST', `/products/${props.productId}/stock`, {
      id: sending,
      kind: kind.value,
      entered: entered.value,
      lot: lot.value,
      remarks: '',
      on: crew.today(),
    } satisfies NewMovement)
    sending = uuid()
    entered.value = { text: '', unit: entered.value.unit }
    lot.value = ''
    problem.value = undefined
    emit('moved')
  } catch (error) {
    problem.value = errorText(error).replace(/^entered: /, '')
  }
}
</script>

<template>
  <section aria-labelledby="stock-title" class="space-y-2">
    <h2 id="stock-title">On hand</h2>
    <p v-if="!stock || stock.onHand.length === 0" class="soft">
      Nothing has been booked yet. Book what stands on the shelf as counted.
    </p>
    <p
      v-for="there in stock?.onHand ?? []"
      :key="there.dimension"
      class="figure"
      :class="{ short: there.amount < 0 }"
    >
      <FigureText :shown="shown.stock(there)" />
      <span v-if="there.amount < 0" class="small">
        more was used than came in: a delivery or a count is missing</span
      >
    </p>
    <form class="fields items-end" @submit.prevent="book">
      <ChoiceField label="Book" :value="kind" :choices="KINDS" @change="kind = $event" />
      <QuantityField
        path="stock"
        label="Amount"
        kind="amount"
        :entered="entered"
        :units="AMOUNT_UNITS"
        @change="entered = $event"
      />
      <TextField label="Lot" :text="lot" @change="lot = $event" />
      <UButton type="submit" label="Book" />
    </form>
    <p v-if="problem" class="small short" role="alert">{{ problem }}</p>
    <ul v-if="stock">
      <li v-for="movement in stock.movements.slice(0, MOST)" :key="movement.id" class="rule-b move">
        <span>{{ dayText(movement.on) }}</span>
        <span
          >{{ WORDS[movement.kind] }}
          <NuxtLink
            v-if="movement.applicationId"
            :to="`/records/${movement.applicationId}`"
            class="way-out"
            >{{ movement.remarks || 'run' }}</NuxtLink><span v-else class="soft">{{
            movement.lot
          }}</span></span
        >
        <span class="num"
          >{{ movement.amount < 0 ? '' : '+' }}<FigureText :shown="shown.stock(movement)"
        /></span>
      </li>
    </ul>
    <p v-if="stock && stock.movements.length > MOST" class="soft small">
      and {{ stock.movements.length - MOST }} earlier
    </p>
  </section>
</template>

<style scoped>
.move {
  display: grid;
  grid-template-columns: 116px minmax(0, 1fr) auto;
  gap: 10px;
  padding: 4px 0;
  align-items: baseline;
}
.num {
  text-align: right;
  white-space: nowrap;
}
.short {
  color: var(--stop);
  font-weight: 600;
}
</style>
