<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'

/** Whose data this is; what it opens says more. */
const crew = useCrewStore()
const initials = computed(() =>
  (crew.organization?.name ?? '')
    .split(/\s+/)
    .slice(0, 2)
    .map(([first = '']) => first.toUpperCase())
    .join(''),
)
const sampleDay = computed(() =>
  crew.organization?.kind === 'sample' ? `sample data, ${dayText(crew.today()).replace(/ \d{4}$/, '')}` : '',
)
</script>

<template>
  <UButton variant="ghost" class="foot">
    <span class="box" aria-hidden="true">{{ initials }}</span>
    <span class="min-w-0">
      <span class="block font-semibold leading-tight">{{ crew.organization?.name }}</span>
      <span v-if="sampleDay" class="small sample block">{{ sampleDay }}</span>
      <span class="sr-only">: crew, units, theme</span>
    </span>
  </UButton>
</template>

<style scoped>
.foot {
  margin-top: auto;
  border-top: var(--rule-width) solid var(--rule);
  border-radius: 0;
  text-align: start;
  padding: 10px 14px;
  gap: 10px;
  min-width: 0;
}
.box {
  flex: none;
  border: 1.5px solid var(--ink);
  border-radius: 3px;
  width: 28px;
  height: 28px;
  display: grid;
  place-items: center;
  font-size: 12px;
  font-weight: 700;
}
.sample {
  color: var(--dry);
  font-weight: 600;
}
</style>
