<script setup lang="ts">
import type { JobState, LinkName } from '#core/job/chain'

/** The link of the chain that is open: there is room to work in it. */
defineProps<{ link: LinkName; state: JobState; applicationId: string; version: number; log: string }>()
</script>

<template>
  <div v-if="link === 'measure'" class="two">
    <GroundList />
    <GroundSketch />
  </div>
  <MethodBlock v-else-if="link === 'calibrate'" />
  <ProductList v-else-if="link === 'rate'" />
  <LoadsZone v-else-if="link === 'load'" :application-id="applicationId" :version="version" />
  <div v-else-if="link === 'walk'" class="space-y-5">
    <div class="two">
      <div class="space-y-4">
        <WalkFigures />
        <WalkFields />
      </div>
      <GroundSketch />
    </div>
    <ConditionFields />
  </div>
  <div v-else>
    <p v-if="state === 'running'">The run is under way. Log what it took when it is done.</p>
    <p v-else-if="state !== 'done'" class="soft">Opens when the run starts.</p>
    <UButton
      v-if="state === 'running' || state === 'done'"
      class="mt-3"
      icon="i-lucide-book-open"
      :label="state === 'done' ? 'Open the record' : 'Open the log'"
      :to="log"
    />
  </div>
</template>

<style scoped>
.two {
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 240px), 1fr));
  gap: 20px 28px;
  align-items: start;
}
</style>
