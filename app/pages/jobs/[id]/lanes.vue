<script setup lang="ts">
/** Lane by lane: the one in hand, large. */
</script>

<template>
  <OneApplication v-slot="{ draft, back }" title="Lane by lane">
    <main class="page">
      <div class="page-head">
        <h1>{{ draft.site || 'Lanes' }}</h1>
        <UButton label="Back to the job" :to="back" />
      </div>
      <WithLanes v-slot="{ worked }"><LaneByLane :worked="worked" /></WithLanes>
    </main>
  </OneApplication>
</template>
