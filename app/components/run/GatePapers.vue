<script setup lang="ts">
/** Labels and safety sheets of what goes down, one press away, also without a network. */
const { frozen } = useRunScreen()
const library = useLibraryStore()
onMounted(() => {
  library.want()
})
const papers = computed(() =>
  frozen.value.labels.flatMap(({ sourceId, name }) =>
    (library.products.find(({ id }) => id === sourceId)?.document.papers ?? []).map((paper) => ({
      ...paper,
      words: `${name}: ${paper.what}`,
    })),
  ),
)
</script>

<template>
  <p v-if="papers.length > 0" class="flex flex-wrap gap-x-4">
    <UButton
      v-for="paper in papers"
      :key="paper.id"
      variant="link"
      size="lg"
      icon="i-lucide-file-text"
      :to="crewUrl(`/attachments/${paper.id}`)"
      target="_blank"
      external
      :label="paper.words"
    />
  </p>
</template>
