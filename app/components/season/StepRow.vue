<script setup lang="ts">
import type { DropdownMenuItem } from '@nuxt/ui'
import type { Intention } from '#core/program/intentions'
import type { ConflictOffer, ProgramConflict } from '#core/program/programOutlook'

/** One step of a program on a lawn: when, how it stands, what speaks against it and what would clear that. */
const props = defineProps<{
  step: Intention
  product: string
  conflicts: readonly ProgramConflict[]
}>()
const emit = defineEmits<{ plan: []; leaveOut: []; bringBack: []; done: []; take: [offer: ConflictOffer] }>()
const person = useSelfStore()
const mark = computed(() => STEP_MARKS[props.step.state])
const canPlan = computed(() => ['open', 'late', 'ahead'].includes(props.step.state) && props.step.kind !== '')
const actions = computed<DropdownMenuItem[]>(() => [
  ...(props.step.kind === '' && props.step.state !== 'done'
    ? [{ label: 'Done today', icon: 'i-lucide-check', onSelect: () => emit('done') }]
    : []),
  props.step.state === 'left out'
    ? { label: 'Take it in again', icon: 'i-lucide-undo-2', onSelect: () => emit('bringBack') }
    : { label: 'Leave it out here', icon: 'i-lucide-circle-slash', onSelect: () => emit('leaveOut') },
])
</script>

<template>
  <li class="rule-b py-2">
    <div class="step">
      <StateMark :level="mark.level" :words="mark.word" />
      <div class="min-w-0">
        <p>
          <strong class="font-semibold" :class="{ 'line-through': step.state === 'left out' }">{{
            step.title
          }}</strong>
          <span v-if="product" class="soft"> · {{ product }}</span>
          <span v-else-if="step.kind" class="soft"> · {{ step.kind }}, not chosen yet</span>
        </p>
        <p class="small soft">
          <span v-if="stepDays(step)" class="text-(--ink)">{{ stepDays(step) }}</span><template
            v-if="step.reason"
            ><template v-if="stepDays(step)"> · </template>{{ step.reason }}</template
          >
        </p>
      </div>
      <span class="flex items-center gap-1">
        <NuxtLink
          v-if="step.state === 'planned' && step.jobId"
          :to="`/jobs/${step.jobId}`"
          class="way-out small"
          >The job<span class="sr-only"> for {{ step.title }}</span></NuxtLink
        >
        <UButton v-else-if="canPlan && person.may('work')" variant="link" size="sm" @click="emit('plan')"
          >Plan it<span class="sr-only">: {{ step.title }}</span></UButton
        >
        <UDropdownMenu v-if="person.may('work')" :items="actions" :content="{ align: 'end' }">
          <UButton icon="i-lucide-ellipsis" size="sm" :aria-label="`More of ${step.title}`" />
        </UDropdownMenu>
      </span>
    </div>
    <div v-for="one in conflicts" :key="one.message" class="conflict small">
      <StateMark :level="one.level" :words="one.message" />
      <p v-if="person.may('work')" class="flex flex-wrap gap-x-3">
        <UButton
          v-for="offer in one.offers"
          :key="offer.label"
          variant="link"
          size="sm"
          @click="emit('take', offer)"
          >{{ offer.label }}</UButton
        >
      </p>
    </div>
  </li>
</template>

<style scoped>
.step {
  display: grid;
  grid-template-columns: 96px minmax(0, 1fr) auto;
  gap: 12px;
  align-items: start;
}
.conflict {
  margin: 2px 0 2px 108px;
}
@media (max-width: 640px) {
  .step {
    grid-template-columns: minmax(0, 1fr) auto;
  }
  .step > :first-child {
    grid-column: 1 / -1;
  }
  .conflict {
    margin-left: 0;
  }
}
</style>
