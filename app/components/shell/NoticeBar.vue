<script setup lang="ts">
/** Where notices stand: a ruled strip, never a floating card. */
const { shown, act, close } = useNotice()
/** On the strip words are paper on ink, in every theme. */
const ON_STRIP = 'text-(--paper) hover:text-(--paper) hover:bg-transparent focus-visible:outline-(--paper)'
</script>

<template>
  <div class="strip no-print" role="status">
    <div v-if="shown" class="notice">
      <p>
        <strong>{{ shown.words }}</strong> <span v-if="shown.more">{{ shown.more }}</span>
        <UButton v-if="shown.action" variant="link" size="sm" :class="ON_STRIP" @click="act">
          {{ shown.action.label }}
        </UButton>
      </p>
      <UButton
        variant="ghost"
        size="sm"
        square
        icon="i-lucide-x"
        aria-label="Close the notice"
        :class="ON_STRIP"
        @click="close"
      />
    </div>
  </div>
</template>

<style scoped>
.strip {
  position: fixed;
  left: 50%;
  transform: translateX(-50%);
  top: 0;
  z-index: 60;
  max-width: min(640px, 94vw);
}
.notice {
  display: flex;
  align-items: start;
  gap: 8px;
  background: var(--ink);
  color: var(--paper);
  padding: 5px 6px 5px 16px;
}
.notice p {
  padding: 2px 0;
}
/* A phone's title stands at the top: there the strip lies over the bar of places. */
@media (max-width: 760px) {
  .strip {
    top: auto;
    bottom: var(--thumb-bar, 0);
    left: 0;
    transform: none;
    width: 100%;
    max-width: none;
  }
}
</style>
