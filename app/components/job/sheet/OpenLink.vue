<script setup lang="ts">
import type { JobState, LinkName } from '#core/job/chain'

/** The link of the chain that is open: there is room to work in it. */
defineProps<{ link: LinkName; state: JobState; applicationId: string; version: number; log: string }>()
</script>

<template>
  <MeasureLink v-if="link === 'measure'" />
  <MethodBlock v-else-if="link === 'calibrate'" />
  <ProductList v-else-if="link === 'rate'" />
  <LoadsZone v-else-if="link === 'load'" :application-id="applicationId" :version="version" />
  <WalkLink v-else-if="link === 'walk'" />
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
