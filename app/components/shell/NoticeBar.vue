<script setup lang="ts">
/** Where notices stand: a ruled strip, never a floating card. */
const { shown, act } = useNotice()
</script>

<template>
  <div class="strip no-print" role="status">
    <p v-if="shown">
      <strong>{{ shown.words }}</strong> <span v-if="shown.more" class="soft">{{ shown.more }}</span>
      <UButton v-if="shown.action" variant="link" size="sm" @click="act">
        {{ shown.action.label }}
      </UButton>
    </p>
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
.strip p {
  background: var(--ink);
  color: var(--paper);
  padding: 7px 16px;
}
.strip .soft {
  color: inherit;
}
.strip .way-out:hover {
  color: inherit;
  text-decoration-thickness: 2px;
}
</style>
