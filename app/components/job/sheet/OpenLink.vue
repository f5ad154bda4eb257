<script setup lang="ts">
import type { JobState, LinkName } from '#core/job/chain'
import { useTimeoutFn } from '@vueuse/core'

/** The link of the chain that is open: there is room to work in it. */
const props = defineProps<{
  link: LinkName
  state: JobState
  applicationId: string
  version: number
  log: string
}>()

/** Each link's own code: the first one shown is fetched with the sheet, the others while it is read. */
const LINKS = {
  measure: () => import('~/components/job/measure/MeasureLink.vue'),
  calibrate: () => import('~/components/job/calibrate/MethodBlock.vue'),
  rate: () => import('~/components/job/rate/ProductList.vue'),
  load: () => import('~/components/job/load/LoadsZone.vue'),
  walk: () => import('~/components/job/walk/WalkLink.vue'),
} as const
const measure = defineAsyncComponent(LINKS.measure)
const calibrate = defineAsyncComponent(LINKS.calibrate)
const rate = defineAsyncComponent(LINKS.rate)
const load = defineAsyncComponent(LINKS.load)
const walk = defineAsyncComponent(LINKS.walk)
const parts = { measure, calibrate, rate, walk }
// Whoever loses the network with the sheet open can still open every link of it; who fills a new one goes
// from link to link faster than anything is fetched.
const WAIT_MS = 3000
useTimeoutFn(
  () => Object.values(LINKS).forEach((fetchLink) => void fetchLink().catch(() => undefined)),
  props.version === 0 ? 0 : WAIT_MS,
)
</script>

<template>
  <component :is="load" v-if="props.link === 'load'" :application-id="applicationId" :version="version" />
  <component :is="parts[props.link]" v-else-if="props.link !== 'log'" />
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
