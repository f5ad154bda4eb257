<script setup lang="ts">
/** Dial, pace and distance beside the ground, and the conditions of the day below. */
</script>

<template>
  <div class="space-y-5">
    <div class="beside">
      <div class="space-y-4">
        <WalkFigures />
        <WalkFields />
      </div>
      <GroundSketch />
    </div>
    <ConditionFields />
  </div>
</template>
