<script setup lang="ts">
/** What the ground will get, before anything is spent. */
const jobId = String(useRoute().params.id)
</script>

<template>
  <LanePage v-slot="{ worked }" title="What the ground gets">
    <CoverageCompare :worked="worked" :job-id="jobId" />
  </LanePage>
</template>
