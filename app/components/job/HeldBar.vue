<script setup lang="ts">
import type { Hold } from '#core/job/heldBy'
import { prettyUnits } from '#core/quantity/systems'

/** Said at the button that did nothing: what is in the way, and its ways out. */
defineProps<{ what: string; holds: readonly Hold[]; index: number }>()
const emit = defineEmits<{ choose: [index: number]; close: [] }>()
const { go, follow } = useRemedies()
</script>

<template>
  <section class="held" role="alert" :aria-label="what">
    <div class="flex items-baseline justify-between gap-3">
      <strong>{{ what }}</strong>
      <UButton label="Close" variant="link" size="sm" @click="emit('close')" />
    </div>
    <ul>
      <li v-for="(hold, i) in holds" :key="i" class="flex flex-wrap items-baseline gap-x-3">
        <span><UIcon name="i-lucide-octagon-x" class="sign" /> {{ prettyUnits(hold.message) }}</span>
        <UButton
          v-if="hold.index !== index"
          :label="`In application ${hold.index + 1}`"
          variant="link"
          size="sm"
          @click="emit('choose', hold.index)"
        />
        <UButton
          v-else-if="hold.path !== undefined"
          label="Put it right"
          variant="link"
          size="sm"
          @click="go(hold.path)"
        />
        <template v-else>
          <UButton
            v-for="remedy in hold.stop?.remedies"
            :key="remedy.label"
            :label="prettyUnits(remedy.label)"
            variant="link"
            size="sm"
            @click="follow(remedy)"
          />
        </template>
      </li>
    </ul>
  </section>
</template>

<style scoped>
.held {
  border: var(--rule-width) solid var(--stop);
  border-radius: 3px;
  padding: 8px 12px;
  margin-top: 8px;
  max-height: 40dvh;
  overflow-y: auto;
}
.sign {
  color: var(--stop);
  font-size: 13px;
}
</style>
