<script setup lang="ts">
import { counted } from '#core/quantity/counting'
import { nutrientRangeText } from '#core/quantity/nutrientText'
import { prettyUnits } from '#core/quantity/systems'
import type { DosePlan } from '#core/program/dosePlans'

/** The nitrogen to come in doses of either school; the other one is taken by a press. */
defineProps<{ plans: readonly DosePlan[] }>()
defineEmits<{ take: [plan: DosePlan] }>()
const crew = useCrewStore()
const person = useSelfStore()
const each = ({ each: doses, doses: count }: DosePlan) =>
  `${counted(count, 'dose')} of ${prettyUnits(nutrientRangeText(doses, 'N', crew.units))}`
</script>

<template>
  <dl class="doses small">
    <template v-for="plan in plans" :key="plan.school">
      <dt>{{ plan.school }}<span v-if="plan.usual" class="soft"> (usual here)</span></dt>
      <dd>
        {{ each(plan) }}: {{ plan.why }}.
        <strong v-if="plan.chosen">As the program stands.</strong>
        <UButton
          v-else-if="person.may('work')"
          variant="link"
          size="sm"
          :label="`Give it ${plan.school}`"
          @click="$emit('take', plan)"
        />
        <InlineWorking :lines="plan.working" />
      </dd>
    </template>
  </dl>
</template>

<style scoped>
.doses {
  display: grid;
  grid-template-columns: auto minmax(0, 1fr);
  gap: 2px 12px;
  margin: 6px 0 4px;
  align-items: baseline;
}
@media (max-width: 640px) {
  .doses {
    display: block;
  }
}
</style>
