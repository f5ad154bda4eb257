<script setup lang="ts">
import type { JobApplication } from '#shared/schemas/job'
import type { JobDraft } from '~/composables/job/useJobDraft'

/** The applications of a visit in the order they are carried out; the one in hand stands open below. */
const props = defineProps<{
  applications: JobDraft['applications']
  states: readonly JobApplication['state'][]
  index: number
  locked: boolean
}>()
const emit = defineEmits<{ choose: [index: number]; add: []; move: [way: -1 | 1]; drop: [] }>()
const names = computed(() =>
  props.applications.map(
    ({ document }) =>
      document.products
        .map(({ name }) => name)
        .filter(Boolean)
        .join(', ') || 'nothing chosen yet',
  ),
)
const STATE_MARKS: Readonly<Record<JobApplication['state'], string>> = {
  planned: '',
  running: '▶ running',
  done: '✓ done',
}
</script>

<template>
  <nav class="strip rule-b" aria-label="Applications of this visit">
    <ol>
      <li v-for="(application, i) in applications" :key="application.id">
        <button
          type="button"
          class="plain-button"
          :class="[application.document.method, { here: i === index }]"
          :aria-current="i === index ? 'true' : undefined"
          @click="emit('choose', i)"
        >
          <strong>{{ i + 1 }}</strong>
          <span aria-hidden="true">{{ application.document.method === 'spread' ? '▦' : '≈' }}</span><span
            class="sr-only"
            >{{ application.document.method === 'spread' ? 'dry' : 'wet' }}</span
          >
          {{ names[i] }}
          <span v-if="states[i] && STATE_MARKS[states[i]]" class="small">{{ STATE_MARKS[states[i]] }}</span>
        </button>
      </li>
    </ol>
    <div v-if="!locked" class="tools small">
      <template v-if="applications.length > 1">
        <button type="button" class="plain-button way-out" :disabled="index === 0" @click="emit('move', -1)">
          Earlier
        </button>
        <button
          type="button"
          class="plain-button way-out"
          :disabled="index === applications.length - 1"
          @click="emit('move', 1)"
        >
          Later
        </button>
        <button type="button" class="plain-button way-out" @click="emit('drop')">Remove</button>
      </template>
      <button type="button" class="plain-button way-out" @click="emit('add')">
        {{ applications.length === 1 ? 'Add a second application' : 'Add an application' }}
      </button>
    </div>
  </nav>
</template>

<style scoped>
.strip {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 2px 20px;
  padding: 0 24px;
}
ol {
  display: flex;
  flex-wrap: wrap;
  gap: 0 22px;
  min-width: 0;
}
li button {
  padding: 6px 0 5px;
  border-bottom: 3px solid transparent;
  max-width: 420px;
  overflow: hidden;
  text-overflow: ellipsis;
  white-space: nowrap;
  color: var(--soft);
}
li button.here {
  color: var(--ink);
  border-bottom-color: var(--wet);
}
li button.here.spread {
  border-bottom-color: var(--dry);
}
.tools {
  display: flex;
  gap: 16px;
}
.tools button:disabled {
  opacity: 0.45;
  cursor: default;
}
@media (max-width: 760px) {
  .strip {
    padding: 0 16px;
  }
  li button {
    max-width: 88vw;
    min-height: 40px;
  }
}
</style>
