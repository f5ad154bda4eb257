<script setup lang="ts">
import type { DropdownMenuItem } from '@nuxt/ui'
import type { EntryInHand, EntryWords } from '~/composables/form/useEntry'

/**
 * Head of one row of a kind: its name, how it is saved, what can be done with it, and the choice when it was
 * changed elsewhere.
 */
const { entry, title, backTo } = defineProps<EntryWords & { entry: EntryInHand }>()
const here = useRoute().path
const { set } = useForm()
const own = useSelfStore()
const history = ref(false)
const input = useTemplateRef('input')
const draft = computed(() => entry.draft.value)
const saveState = computed(() => entry.saveState.value)
const name = computed(() => title ?? draft.value?.name ?? '')
onMounted(() => {
  if (draft.value?.version === 0 && name.value === '') input.value?.textareaRef?.focus()
})
const actions = computed<DropdownMenuItem[]>(() => [
  {
    label: 'History',
    icon: 'i-lucide-history',
    onSelect: () => {
      history.value = true
    },
  },
  ...(own.may('govern')
    ? [{ label: 'Delete', icon: 'i-lucide-trash-2', onSelect: () => entry.remove(backTo, here) }]
    : []),
])
</script>

<template>
  <header class="rule-b head">
    <p class="small">
      <NuxtLink :to="backTo" class="way-out">{{ back }}</NuxtLink>
    </p>
    <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <div class="naming min-w-0 flex-1">
        <h1 v-if="title !== undefined">{{ name }}</h1>
        <template v-else>
          <h1 class="sr-only">{{ name || placeholder }}</h1>
          <UTextarea
            ref="input"
            :rows="1"
            autoresize
            variant="none"
            class="w-full"
            :ui="{ base: 'name title' }"
            :aria-label="`Name of the ${what}`"
            :placeholder="placeholder"
            :model-value="name"
            data-path="name"
            maxlength="200"
            autocomplete="off"
            @keydown.enter.prevent
            @update:model-value="set('name', $event.replaceAll('\n', ' '))"
          />
        </template>
        <p class="small flex flex-wrap items-baseline gap-x-4">
          <slot name="about" />
          <SaveMark :state="saveState" />
        </p>
      </div>
      <slot />
      <UDropdownMenu :items="actions" :content="{ align: 'end' }">
        <UButton icon="i-lucide-ellipsis" :aria-label="`More of this ${what}`" />
      </UDropdownMenu>
    </div>
    <LazyHistoryList v-if="history" v-model:open="history" :row-id="entry.id" />
    <LazyConflictBar
      v-if="draft && saveState.kind === 'conflict'"
      :what="what"
      :mine="draft"
      :theirs="saveState.theirs as object"
      class="mt-2"
      @keep="entry.keepMine"
      @take="entry.takeTheirs"
    />
  </header>
</template>

<style scoped>
.head {
  padding: 10px 24px 10px;
}
.head :deep(.name) {
  font-size: 25px;
  line-height: 1.25;
  padding: 0;
  min-height: 34px;
  background: transparent;
}
.head :deep(.name:placeholder-shown) {
  border-bottom: 1px dashed var(--rule-strong);
}
@media (max-width: 760px) {
  .head {
    padding: 10px 16px;
  }
  /* Where only the menu follows, it stands beside the name. */
  .naming:not(:has(+ :last-child)) {
    flex-basis: 100%;
  }
}
</style>
