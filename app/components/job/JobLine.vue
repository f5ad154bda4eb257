<script setup lang="ts">
import type { JobRow } from '#shared/schemas/job'
import type { JobOutlook } from '#shared/schemas/today'

/** One job in a list of the day: where, what for, with what; the whole line leads to it. */
defineProps<{ job: JobRow; number?: number; when?: string; outlook?: JobOutlook }>()
</script>

<template>
  <div class="line pressable">
    <strong v-if="number !== undefined" class="place figure">{{ number }}</strong>
    <span v-else class="place small soft">{{ when }}</span>
    <span class="min-w-0">
      <NuxtLink :to="`/jobs/${job.id}`" class="row-link">{{ job.site || 'Unnamed site' }}</NuxtLink>
      <span class="soft"> {{ job.purpose }}</span>
      <span v-if="job.givenTo" class="small whitespace-nowrap"> · {{ job.givenTo }}</span>
      <span class="small soft block"
        >{{ job.products.filter(Boolean).join('; then ')
        }}<template v-if="outlook">
          ·
          <strong v-if="!outlook.fits" class="font-semibold text-(--ink)"
            >not today: {{ outlook.words }}</strong
          ><template v-else>can go out {{ outlook.words }}</template></template
        ></span
      >
    </span>
    <StateMark class="small" :level="JOB_MARKS[job.state]" :words="job.state" />
    <span class="carried"
      ><UIcon
        v-for="(method, i) in job.methods"
        :key="i"
        :name="METHOD_ICONS[method]"
        class="size-[18px]"
        :class="method === 'spread' ? 'dry' : 'wet'"
      /><span class="sr-only">{{
        job.methods.map((method) => (method === 'spread' ? 'dry' : 'wet')).join(', then ')
      }}</span></span
    >
  </div>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: 64px minmax(0, 1fr) auto auto;
  gap: 4px 14px;
  padding: 9px 0;
  align-items: center;
}
.carried {
  display: flex;
  gap: 3px;
  min-width: 40px;
  justify-content: end;
}
@media (max-width: 640px) {
  .line {
    grid-template-columns: minmax(0, 1fr) auto;
    min-height: 60px;
  }
  .line:has(> strong) {
    grid-template-columns: 26px minmax(0, 1fr) auto;
  }
  span.place {
    grid-column: 1 / -1;
    margin-bottom: -4px;
  }
  .carried {
    display: none;
  }
}
</style>
