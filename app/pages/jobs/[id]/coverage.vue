<script setup lang="ts">
/** What the ground will get, before anything is spent. */
const jobId = String(useRoute().params.id)
</script>

<template>
  <OneApplication v-slot="{ draft, back }" title="What the ground gets">
    <main class="page">
      <div class="page-head">
        <h1>What the ground gets</h1>
        <p class="soft">{{ draft.site }} · {{ draft.purpose }}</p>
        <UButton label="Back to the job" :to="back" />
      </div>
      <WithLanes v-slot="{ worked }"><CoverageCompare :worked="worked" :job-id="jobId" /></WithLanes>
    </main>
  </OneApplication>
</template>
