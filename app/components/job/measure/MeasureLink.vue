<script setup lang="ts">
/** Areas ticked or measured, beside their drawing. */
</script>

<template>
  <div class="beside">
    <GroundList />
    <GroundSketch />
  </div>
</template>
