<script setup lang="ts">
/** The one drawer that shows the arithmetic behind a figure. */
const working = useWorkingStore()
const pages = computed(() => (working.open ? (working.inHand?.pages() ?? []) : []))
const wanted = useTemplateRef('wanted')
watch([() => working.open, () => working.figure], async () => {
  await nextTick()
  setTimeout(() => wanted.value?.[0]?.scrollIntoView({ block: 'start' }), 50)
})
</script>

<template>
  <USlideover
    v-model:open="working.open"
    title="Working"
    description="How each figure comes about: inputs as entered, factors, and the rule behind a limit."
  >
    <template #body>
      <!-- Focusable, so that the keys can scroll it. -->
      <div tabindex="0" role="region" aria-label="Working, line by line">
        <p v-if="pages.length === 0" class="soft">Nothing is worked out on this screen yet.</p>
        <section
          v-for="page in pages"
          :key="page.figure"
          class="rule-b py-3"
          :class="{ asked: page.figure === working.figure }"
        >
          <h3 :ref="page.figure === working.figure ? 'wanted' : undefined" class="font-semibold">
            {{ working.inHand?.nameOf(page.figure) }}
          </h3>
          <ol class="mono mt-1 space-y-1 text-[13px]">
            <li
              v-for="(line, index) in page.lines"
              :key="index"
              :class="{ 'font-semibold': index === page.lines.length - 1 }"
            >
              {{ line }}
            </li>
          </ol>
        </section>
      </div>
    </template>
  </USlideover>
</template>

<style scoped>
.asked {
  border-left: 3px solid var(--action);
  padding-left: 10px;
}
</style>
