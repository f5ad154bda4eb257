<script setup lang="ts">
/** One thin line while the server is out of reach, or while something still waits to be sent. */
const { lastSeen } = useLastSeen()
const outbox = useOutboxStore()
const crew = useCrewStore()
const seen = computed(() => {
  const at = Date.parse(lastSeen.value ?? '')
  const { clockShift = 0, timeZone } = crew.organization ?? {}
  return Number.isNaN(at) ? '' : `, as seen ${instantText(new Date(at + clockShift).toISOString(), timeZone)}`
})
const away = computed(() => lastSeen.value !== undefined)
const waits = computed(() =>
  outbox.refused.length > 0
    ? 'Some entries were not taken'
    : outbox.waiting > 0
      ? `${outbox.waiting} ${outbox.waiting === 1 ? 'entry waits' : 'entries wait'} to be sent`
      : '',
)
</script>

<template>
  <p v-if="away || waits" class="bar no-print" role="status">
    <span v-if="away"><UIcon name="i-lucide-cloud-off" class="icon" /> Without the server{{ seen }}.</span>
    <NuxtLink v-if="waits" to="/kept" class="way-out">{{ waits }}</NuxtLink>
  </p>
</template>

<style scoped>
.bar {
  display: flex;
  flex-wrap: wrap;
  gap: 2px 18px;
  align-items: center;
  padding: 6px 24px;
  background: var(--tint);
  border-bottom: var(--rule-width) solid var(--rule);
  font-size: 14px;
}
.icon {
  vertical-align: -2px;
}
@media (max-width: 640px) {
  .bar {
    padding: 6px 16px;
  }
}
</style>
