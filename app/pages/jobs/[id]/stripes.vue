<script setup lang="ts">
/** Stripes seen on the lawn afterwards, and what they most likely come from. */
</script>

<template>
  <OneApplication v-slot="{ draft, back }" title="Stripes">
    <main class="page">
      <div class="page-head">
        <h1>Stripes seen afterwards</h1>
        <p class="soft">{{ draft.site }} · {{ draft.purpose }}</p>
        <UButton label="Back to the job" :to="back" />
      </div>
      <WithLanes v-slot="{ worked }"><StripesSeen :worked="worked" /></WithLanes>
    </main>
  </OneApplication>
</template>
