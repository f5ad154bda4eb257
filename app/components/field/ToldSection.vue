<script setup lang="ts">
/**
 * A part of a form told in a sentence; pressed, it opens its few fields. A part with something wrong in it
 * stays open.
 */
const props = defineProps<{
  /** Name of the part within the form. */
  part: string
  title: string
  words: string
  /** What stands there while nothing is said. */
  blank: string
  /** Fields that lie in it, by path. */
  paths: readonly string[]
  /** Open at first. */
  unfolded?: boolean
}>()
const { opened, problemAt } = useForm()
if (props.unfolded) opened.add(props.part)
const wrong = computed(() => props.paths.some((path) => problemAt(path)?.kind === 'wrong'))
const open = computed({
  get: () => wrong.value || opened.has(props.part),
  set: (wanted) => (wanted ? opened.add(props.part) : opened.delete(props.part)),
})
</script>

<template>
  <UCollapsible v-model:open="open" class="rule-b">
    <UButton
      color="neutral"
      variant="ghost"
      block
      class="told"
      :trailing-icon="open ? 'i-lucide-chevron-up' : 'i-lucide-chevron-down'"
    >
      <span class="title">{{ title }}</span>
      <span class="words" :class="{ soft: !words }">{{ words || blank }}</span>
    </UButton>
    <template #content>
      <div class="pt-1 pb-3"><slot /></div>
    </template>
  </UCollapsible>
</template>

<style scoped>
.told {
  display: grid;
  grid-template-columns: 84px minmax(0, 1fr) auto;
  align-items: baseline;
  gap: 12px;
  padding: 7px 4px 7px 0;
  text-align: start;
  white-space: normal;
}
.title {
  font-size: 13px;
  color: var(--soft);
}
.words {
  font-weight: 400;
}
</style>
