<script setup lang="ts">
/** The lane sheet for the truck, printed as it stands. */
const print = () => window.print()
useScreenCommands(() => [{ id: 'print', label: 'Print', key: 'p', run: print }])
</script>

<template>
  <OneApplication v-slot="{ draft, back }" title="Lane sheet">
    <main class="lane-page">
      <div class="no-print mb-4 flex flex-wrap items-center gap-4">
        <UButton label="Back to the job" :to="back" />
        <UButton label="Print" color="primary" variant="solid" aria-keyshortcuts="p" @click="print" />
      </div>
      <WithLanes v-slot="{ worked }"><LaneSheet :worked="worked" :job="draft" /></WithLanes>
    </main>
  </OneApplication>
</template>

<style scoped>
.lane-page {
  max-width: 860px;
  padding: 20px 24px;
}
@media print {
  .lane-page {
    padding: 0;
    max-width: none;
  }
}
</style>
