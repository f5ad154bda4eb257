<script setup lang="ts">
/** Lanes on the ground, dial and pace, what is kept from water and wind, and the conditions of the day. */
</script>

<template>
  <div class="space-y-4">
    <WalkFigures />
    <WithLanes v-slot="{ worked }">
      <LanePlan :worked="worked"><WalkFields /></LanePlan>
      <WindAndWater :worked="worked" />
    </WithLanes>
    <ConditionFields />
  </div>
</template>
