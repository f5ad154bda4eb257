<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import { showQuantity } from '#core/quantity/systems'

/** What the labels still leave this year on each lawn after this job. */
const { sheet } = useSheet()
const yearLeft = computed(() => sheet.value.yearLeft)
/** Not drawn anew at every key while it is folded. */
const open = ref(false)
type Amount = NonNullable<(typeof yearLeft.value)[number]['amount']>
const aloud = ({ laid, planned, now, most }: Amount) => {
  const { figure, unit } = showQuantity(most)
  const applied = showQuantity({ ...laid, value: laid.value - planned.value }).figure
  const plans = planned.value > 0 ? `, ${showQuantity(planned).figure} planned` : ''
  return `${applied} applied${plans}, ${showQuantity(now).figure} now, the most in a year ${figure} ${unit}`
}
</script>

<template>
  <details
    v-if="yearLeft.length > 0"
    class="mt-4"
    @toggle="open = ($event.target as HTMLDetailsElement).open"
  >
    <summary><h2 class="inline">What the year still leaves</h2></summary>
    <ul v-if="open">
      <li v-for="row in yearLeft" :key="`${row.productId}-${row.lawn.area.id}`" class="rule-b py-1">
        <p class="small">{{ row.product }}, {{ row.lawn.area.name }}</p>
        <YearBar
          v-if="row.amount"
          :laid="row.amount.laid.value"
          :now="row.amount.now.value"
          :frame="[row.amount.most.value, row.amount.most.value]"
          :over="row.amount.left.value <= 0"
          :label="aloud(row.amount)"
        />
        <p class="small">
          <FigureText
            v-if="row.amount"
            :shown="showQuantity(row.amount.left)"
            :page="`left.${row.productId}.${row.lawn.area.id}`"
            :label="`Left this year of ${row.product}, ${row.lawn.area.name}`"
          />
          <span class="soft"
            ><template v-if="row.amount"> of {{ showQuantity(row.amount.most).figure }}</template
            ><template v-if="row.further !== undefined"
              >{{ row.amount ? ', ' : ''
              }}{{ row.further === 0 ? 'no further application' : `${row.further} more like this` }}</template
            ><template v-if="row.next && row.further !== 0">, from {{ dayText(row.next) }}</template></span
          >
        </p>
        <p v-if="row.unknown.length > 0" class="small soft">Not counted: {{ row.unknown.join(', ') }}.</p>
      </li>
    </ul>
  </details>
</template>

<style scoped>
summary {
  cursor: pointer;
}
</style>
