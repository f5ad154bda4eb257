<script setup lang="ts">
import { nutrientIn, nutrientRangeText, nutrientText } from '#core/quantity/nutrientText'
import { counted } from '#core/quantity/counting'
import { prettyUnits } from '#core/quantity/systems'
import type { NitrogenBudget } from '#core/program/nitrogenBudget'

/** Nitrogen of the year: what lies there, what is to come, and the band the grass wants. */
const props = defineProps<{ budget: NitrogenBudget; working: readonly string[] }>()
const crew = useCrewStore()
const told = (figure: number) => prettyUnits(nutrientText(figure, 'N', crew.units))
const most = computed(() =>
  Math.max(
    props.budget.wanted[1] * 1.25,
    (props.budget.laid + props.budget.planned + props.budget.ahead) * 1.1,
  ),
)
const share = (figure: number) => `${(100 * figure) / most.value}%`
const STATES = { within: '.', over: ': over it.', short: ': short of it.', unknown: '.' } as const
const words = computed(() => {
  const { laid, planned, ahead, slow, unknown, wanted, state } = props.budget
  const ofIt = ahead > 0 ? `, ${Math.round((100 * slow) / ahead)} % of it slow` : ''
  return (
    `${told(laid)} applied, ${planned > 0 ? `${told(planned)} planned, ` : ''}` +
    `${told(ahead)} to come${ofIt}; ` +
    `the grass wants ${prettyUnits(nutrientRangeText(wanted, 'N', crew.units))}` +
    STATES[state] +
    (unknown > 0 ? ` ${counted(unknown, 'application')} not counted: the label does not tell.` : '')
  )
})
const number = (figure: number) => nutrientIn(figure, crew.units).toFixed(1)
</script>

<template>
  <figure class="budget">
    <div class="bar" aria-hidden="true">
      <span
        class="wanted"
        :style="{ left: share(budget.wanted[0]), width: share(budget.wanted[1] - budget.wanted[0]) }"
      />
      <span class="laid" :style="{ width: share(budget.laid) }" />
      <span
        class="ahead"
        :style="{ left: share(budget.laid), width: share(budget.planned + budget.ahead) }"
      />
      <span class="end small" :style="{ left: share(budget.wanted[0]) }">{{ number(budget.wanted[0]) }}</span>
      <span class="end small" :style="{ left: share(budget.wanted[1]) }">{{ number(budget.wanted[1]) }}</span>
    </div>
    <figcaption class="small">Nitrogen this year: {{ words }}</figcaption>
    <InlineWorking :lines="working" />
  </figure>
</template>

<style scoped>
.budget {
  max-width: 640px;
}
.bar {
  position: relative;
  height: 34px;
}
.bar > span {
  position: absolute;
}
.wanted {
  top: 0;
  height: 16px;
  background: var(--tint);
  border-inline: 1.5px solid var(--ink);
}
.laid,
.ahead {
  top: 4px;
  height: 8px;
  left: 0;
}
.laid {
  background: var(--dry);
}
.ahead {
  border: 1.5px solid var(--dry);
  background: repeating-linear-gradient(135deg, transparent 0 4px, var(--dry) 4px 5.5px);
}
.end {
  top: 17px;
  transform: translateX(-50%);
  color: var(--soft);
}
</style>
