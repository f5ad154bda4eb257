<script setup lang="ts">
/** A part of a form that folds: one line when it is settled, its fields when it is being filled in. */
const props = defineProps<{ section: string; words: string }>()
const { opened } = useForm()
const open = computed(() => opened.has(props.section))
const toggle = () => (open.value ? opened.delete(props.section) : opened.add(props.section))
</script>

<template>
  <div>
    <div class="flex items-start gap-2">
      <div class="min-w-0 flex-1"><slot name="line" /></div>
      <ULink raw class="fold small" :aria-expanded="open" @click="toggle">
        {{ open ? 'done' : 'edit' }}<span class="sr-only"> {{ words }}</span>
      </ULink>
    </div>
    <div v-if="open" class="mt-2"><slot /></div>
  </div>
</template>

<style scoped>
.fold {
  text-decoration: underline;
  text-underline-offset: 3px;
  color: var(--soft);
  min-height: 24px;
  padding: 0 2px;
}
.fold:hover {
  color: var(--action);
}
</style>
