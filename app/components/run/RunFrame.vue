<script setup lang="ts">
/** One step a screen: where one is, what to do, and the way on within reach of the thumb. */
const { title, action, waits } = defineProps<{
  title: string
  /** The main button; none: the step has buttons of its own. */
  action?: string
  waits?: boolean
}>()
const emit = defineEmits<{ act: [] }>()
const { step, steps, back } = useRunScreen()
const first = computed(() => steps.value[0]?.id === step.value.id)
useScreenCommands(() => [
  {
    id: 'step-done',
    label: action ?? 'On to the next step',
    key: 'ctrl+enter',
    run: () => action && emit('act'),
  },
  { id: 'step-back', label: 'Step before', key: 'alt+arrowleft', run: back },
])
</script>

<template>
  <form class="frame" @submit.prevent="emit('act')">
    <p class="soft place">{{ stepPlace(step) }}</p>
    <h1 tabindex="-1" data-step-title>{{ title }}</h1>
    <div class="content"><slot /></div>
    <footer class="bar">
      <div v-if="$slots.said" class="said"><slot name="said" /></div>
      <UButton v-if="!first" size="xl" label="Back" class="back" @click="back" />
      <slot name="actions" />
      <UButton
        v-if="action"
        type="submit"
        size="xl"
        color="primary"
        variant="solid"
        data-main-action
        class="main"
        :label="action"
        :disabled="waits"
      />
    </footer>
  </form>
</template>

<style scoped>
.frame {
  display: flex;
  flex-direction: column;
  flex: 1;
}
.place {
  padding-top: 14px;
}
h1 {
  font-size: clamp(26px, 7.5vw, 34px);
  line-height: 1.12;
  outline: none;
}
.content {
  flex: 1;
  padding: 12px 0 20px;
}
.bar {
  position: sticky;
  bottom: 0;
  z-index: 600;
  display: flex;
  flex-wrap: wrap;
  gap: 8px 12px;
  border-top: var(--rule-width) solid var(--rule);
  padding: 12px 0 calc(14px + env(safe-area-inset-bottom));
  background: var(--paper);
}
.bar :deep(button) {
  min-height: 64px;
  justify-content: center;
  font-size: 18px;
  font-weight: 600;
}
.said {
  flex: 0 0 100%;
}
.back {
  flex: 0 0 96px;
}
.main {
  flex: 1;
}
</style>
