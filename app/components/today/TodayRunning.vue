<script setup lang="ts">
import type { RunningApplication } from '#shared/schemas/today'

/** What has been started and not logged yet. */
defineProps<{ running: readonly RunningApplication[] }>()
const crew = useCrewStore()
const own = useSelfStore()
const since = (instant: string) => instantText(instant, crew.organization?.timeZone).split(', ')[1]
</script>

<template>
  <section v-if="running.length > 0" aria-labelledby="running-title">
    <h2 id="running-title">Running</h2>
    <ul>
      <li v-for="one in running" :key="one.applicationId" class="rule-b run">
        <span
          ><NuxtLink :to="`/jobs/${one.jobId}`" class="way-out">{{ one.site || 'Unnamed site' }}</NuxtLink>
          <span class="soft">{{ one.purpose }}</span><span class="small soft block"
            >{{ one.products }}, since {{ since(one.startedAt) }}</span
          ></span
        >
        <UButton
          v-if="own.may('run')"
          class="act"
          icon="i-lucide-play"
          label="Carry on"
          color="primary"
          variant="solid"
          size="lg"
          :to="`/jobs/${one.jobId}/run?a=${one.place}`"
        />
      </li>
    </ul>
  </section>
</template>

<style scoped>
.run {
  display: flex;
  justify-content: space-between;
  gap: 16px;
  align-items: center;
  padding: 8px 0 8px 10px;
  border-left: 4px solid var(--action);
  flex-wrap: wrap;
}
.run > span {
  flex: 1 1 260px;
}
@media (max-width: 640px) {
  .act {
    width: 100%;
    justify-content: center;
    min-height: 56px;
  }
}
</style>
