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
    <p>
      <strong>{{ what }}</strong>
      <button type="button" class="plain-button way-out small float-right" @click="emit('close')">
        Close
      </button>
    </p>
    <ul>
      <li v-for="(hold, i) in holds" :key="i">
        <span aria-hidden="true" class="sign">■</span>
        {{ prettyUnits(hold.message) }}
        <span class="inline-flex flex-wrap gap-x-3">
          <button
            v-if="hold.index !== index"
            type="button"
            class="plain-button way-out"
            @click="emit('choose', hold.index)"
          >
            In application {{ hold.index + 1 }}
          </button>
          <button
            v-else-if="hold.path !== undefined"
            type="button"
            class="plain-button way-out"
            @click="go(hold.path)"
          >
            Put it right
          </button>
          <template v-else>
            <button
              v-for="remedy in hold.stop?.remedies"
              :key="remedy.label"
              type="button"
              class="plain-button way-out"
              @click="follow(remedy)"
            >
              {{ prettyUnits(remedy.label) }}
            </button>
          </template>
        </span>
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
