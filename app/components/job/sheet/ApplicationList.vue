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
const emit = defineEmits<{ choose: [index: number]; add: []; move: [from: number, to: number]; drop: [] }>()
const names = computed(() =>
  props.applications.map(
    ({ document }) =>
      document.products
        .map(({ name }) => name)
        .filter(Boolean)
        .join(', ') || 'nothing chosen yet',
  ),
)
const STATE_WORDS: Readonly<Record<JobApplication['state'], string>> = {
  planned: '',
  running: 'running',
  done: 'done',
}
const list = useTemplateRef('list')
useDragOrder(list, (from, to) => emit('move', from, to))
</script>

<template>
  <nav class="list rule-b" aria-label="Applications of this visit">
    <ol ref="list" class="min-w-0 flex-1">
      <li v-for="(application, i) in applications" :key="application.id" class="relative flex items-center">
        <DragGrip v-if="applications.length > 1 && !locked" class="handle" />
        <ULink
          raw
          class="row"
          :class="{ here: i === index && applications.length > 1 }"
          :aria-current="i === index ? 'true' : undefined"
          @click="emit('choose', i)"
        >
          <strong>{{ i + 1 }}</strong>
          <UIcon
            :name="application.document.method === 'spread' ? 'i-lucide-wheat' : 'i-lucide-droplets'"
            :class="application.document.method === 'spread' ? 'dry' : 'wet'"
            class="size-[18px] flex-none"
          /><span class="sr-only">{{ application.document.method === 'spread' ? 'dry' : 'wet' }}</span>
          <span class="min-w-0"
            >{{ names[i] }}
            <span v-if="states[i] && STATE_WORDS[states[i]]" class="soft small">{{
              STATE_WORDS[states[i]]
            }}</span></span
          >
        </ULink>
      </li>
    </ol>
    <ApplicationMenu
      v-if="!locked"
      :count="applications.length"
      :index="index"
      @add="emit('add')"
      @move="(from, to) => emit('move', from, to)"
      @drop="emit('drop')"
    />
  </nav>
</template>

<style scoped>
.list {
  display: flex;
  align-items: start;
  padding-right: 8px;
}
.row {
  display: flex;
  gap: 10px;
  align-items: center;
  width: 100%;
  text-align: start;
  padding: 9px 8px 9px 21px;
  border-left: 3px solid transparent;
}
.row:hover {
  background: var(--tint);
}
.row.here {
  border-left-color: var(--ink);
  font-weight: 600;
}
/* The grip stands within the row's left room, right of the mark of the open one. */
.handle {
  position: absolute;
  left: 4px;
  z-index: 1;
}
.handle + .row {
  padding-left: 32px;
}
@media (max-width: 760px) {
  .row {
    min-height: 48px;
    padding-left: 13px;
  }
}
@media (pointer: coarse) {
  .handle + .row {
    padding-left: 50px;
  }
}
</style>
