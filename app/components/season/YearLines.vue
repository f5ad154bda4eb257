<script setup lang="ts">
import { shareOfYear, type YearRow } from '#core/season/yearRows'

/** Under the year: what protects and feeds as bars, gaps hatched, windows framed; today runs through all. */
const props = defineProps<{ rows: readonly YearRow[]; today: string }>()
const now = computed(() => shareOfYear(props.today, props.today.slice(0, 4)))
/** On a shorter bar words would only be cut off. */
const phone = usePhone()
const leastForWords = computed(() => (phone.value ? 0.24 : 0.07))
const percent = (share: number) => `${(100 * share).toFixed(2)}%`
</script>

<template>
  <ul class="rows" aria-label="What lies on this lawn through the year">
    <li v-for="row in rows" :key="row.name" class="row">
      <strong>{{ row.name }}</strong>
      <span class="plot">
        <span class="now" :style="{ left: percent(now) }" aria-hidden="true" />
        <span
          v-for="(bar, i) in row.bars"
          :key="i"
          class="bar"
          :class="bar.kind"
          :style="{ left: percent(bar.from), width: percent(bar.to - bar.from) }"
          :title="bar.told"
          ><span v-if="bar.to - bar.from > leastForWords || bar.kind === 'mark'" aria-hidden="true">{{
            bar.words
          }}</span
          ><span class="sr-only">{{ bar.told }}; </span></span
        >
      </span>
    </li>
  </ul>
</template>

<style scoped>
.rows {
  padding: 0 24px;
}
.row {
  display: grid;
  grid-template-columns: 128px minmax(0, 1fr);
  align-items: center;
  border-top: var(--rule-width) solid var(--rule);
  min-height: 46px;
}
.plot {
  position: relative;
  display: block;
  height: 46px;
  margin-right: 56px;
}
.now {
  position: absolute;
  top: 0;
  bottom: 0;
  width: 2px;
  background: var(--action);
}
.bar {
  position: absolute;
  top: 3px;
  height: 19px;
  min-width: 4px;
  overflow: hidden;
  white-space: nowrap;
  text-overflow: ellipsis;
  font-size: 12.5px;
  line-height: 17px;
  padding-left: 5px;
  border: 1px solid var(--ink);
}
.laid {
  background: var(--ink);
  color: var(--paper);
}
.gap {
  border-color: var(--stop);
  color: transparent;
  background: repeating-linear-gradient(135deg, var(--stop) 0 3px, var(--sheet) 3px 6px);
}
.window {
  top: 24px;
  background: var(--dry-tint);
  color: var(--ink);
  border: 1px dashed var(--dry);
  z-index: 1;
}
.mark {
  border: 0;
  border-left: 3px solid var(--ink);
  overflow: visible;
}
@media (max-width: 760px) {
  .rows {
    padding: 0 16px;
  }
  .row {
    display: block;
    padding-top: 4px;
  }
}
</style>
