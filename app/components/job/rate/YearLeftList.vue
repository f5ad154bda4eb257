<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import { showQuantity } from '#core/quantity/systems'

/** What the labels still leave this year on each lawn after this job. */
const { sheet } = useSheet()
const yearLeft = computed(() => sheet.value.yearLeft)
/** Not drawn anew at every key while it is folded. */
const open = ref(false)
type Amount = NonNullable<(typeof yearLeft.value)[number]['amount']>
/** Of the year's most, or of what there is where that is more. */
const share = ({ laid, now, most }: Amount, part: 'laid' | 'now' | 'most') => {
  const whole = Math.max(most.value, laid.value + now.value)
  return `${(100 * { laid, now, most }[part].value) / whole}%`
}
const aloud = ({ laid, now, most }: Amount) => {
  const { figure, unit } = showQuantity(most)
  const [lies, comes] = [showQuantity(laid).figure, showQuantity(now).figure]
  return `${lies} laid, ${comes} now, the most in a year ${figure} ${unit}`
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
        <div v-if="row.amount" class="bar" role="img" :aria-label="aloud(row.amount)">
          <span class="laid" :style="{ width: share(row.amount, 'laid') }" /><span
            class="now"
            :class="{ over: row.amount.left.value <= 0 }"
            :style="{ width: share(row.amount, 'now') }"
          /><span class="most" :style="{ left: share(row.amount, 'most') }" />
        </div>
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
.bar {
  position: relative;
  display: flex;
  height: 10px;
  background: var(--sheet);
  border: var(--rule-width) solid var(--rule);
}
.laid {
  background: var(--soft);
  opacity: 0.6;
}
.now {
  background: var(--wet);
}
.now.over {
  background: var(--warn);
}
/* The year's most stands as a stroke that both must stay left of. */
.most {
  position: absolute;
  top: -3px;
  bottom: -3px;
  border-left: 2px solid var(--ink);
  margin-left: -2px;
}
</style>
