<script setup lang="ts">
/** What the colours mean, in the label's unit. @param target kg or m3 on each m2 */
const props = defineProps<{ target: number; spray: boolean }>()
const shown = useShown()
const marks = computed(() => {
  const at = [0, 0.8, 1, 1.2, 2].map((share) => share * props.target)
  const told = props.spray
    ? at.map((rate) => shown.carrier(rate))
    : (() => {
        const { figures, unit } = shown.rates(at, 'mass')
        return figures.map((figure) => ({ figure, unit }))
      })()
  return { figures: told.map(({ figure }) => figure), unit: told[1]?.unit ?? '' }
})
const PLACES = [0, 40, 50, 60, 100] as const
</script>

<template>
  <div
    class="legend small"
    role="img"
    :aria-label="`From ${marks.figures[0]} to ${marks.figures[4]} ${marks.unit} and more`"
  >
    <div class="ramp">
      <span v-for="(step, i) in RATE_STEPS" :key="i" :style="{ background: `rgb(${step.join(' ')})` }" />
    </div>
    <div class="marks">
      <span
        v-for="(figure, i) in marks.figures"
        :key="i"
        :style="{ left: `${PLACES[i]}%` }"
        :class="{ first: i === 0, last: i === 4, meant: i === 2, low: i === 1, high: i === 3 }"
        >{{ figure }}{{ i === 4 ? '+' : '' }}</span
      >
    </div>
    <p class="soft">{{ marks.unit }}; the middle is what is meant, grey lands off the lawn</p>
  </div>
</template>

<style scoped>
.ramp {
  display: grid;
  grid-template-columns: repeat(10, 1fr);
  height: 12px;
  border: var(--rule-width) solid var(--rule-strong);
}
.marks {
  position: relative;
  height: 1.3em;
  font-variant-numeric: tabular-nums;
}
.marks > span {
  position: absolute;
  transform: translateX(-50%);
}
.marks > .first {
  transform: none;
}
.marks > .last {
  transform: translateX(-100%);
}
.marks > .low {
  transform: translateX(-85%);
}
.marks > .high {
  transform: translateX(-15%);
}
.marks > .meant {
  font-weight: 700;
}
</style>
