<script setup lang="ts">
import type { JobState, LinkName } from '#core/job/chain'

/** The link of the chain that is open: there is room to work in it. */
const props = defineProps<{
  link: LinkName
  state: JobState
  applicationId: string
  version: number
  log: string
}>()
const part = computed(() => partOf(props.link))
watch(() => props.link, reachFor, { immediate: true })
</script>

<template>
  <component :is="part" v-if="part" v-bind="link === 'load' ? { applicationId, version } : {}" />
  <div v-else-if="link === 'log'">
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
