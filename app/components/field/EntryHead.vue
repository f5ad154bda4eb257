<script setup lang="ts">
import type { DropdownMenuItem } from '@nuxt/ui'
import type { SaveState } from '~/composables/form/useDraft'

/**
 * Head of one row of a kind: its name, how it is saved, what can be done with it, and the choice when it was
 * changed elsewhere.
 */
const props = defineProps<{
  name: string
  namePath?: string
  placeholder: string
  what: string
  rowId: string
  fresh: boolean
  saveState: SaveState
  draft: object
  back: string
  backTo: string
}>()
const emit = defineEmits<{ remove: []; keep: []; take: [] }>()
const { set } = useForm()
const own = useSelfStore()
const history = ref(false)
const input = useTemplateRef('input')
onMounted(() => {
  if (props.fresh && props.name === '') input.value?.textareaRef?.focus()
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
    ? [{ label: 'Delete', icon: 'i-lucide-trash-2', onSelect: () => emit('remove') }]
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
        <h1 v-if="namePath === undefined">{{ name }}</h1>
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
            :data-path="namePath"
            maxlength="200"
            autocomplete="off"
            @keydown.enter.prevent
            @update:model-value="set(namePath, $event.replaceAll('\n', ' '))"
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
    <LazyHistoryList v-if="history" v-model:open="history" :row-id="rowId" />
    <LazyConflictBar
      v-if="saveState.kind === 'conflict'"
      :what="what"
      :mine="draft"
      :theirs="saveState.theirs as object"
      class="mt-2"
      @keep="emit('keep')"
      @take="emit('take')"
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
  .naming {
    flex-basis: 100%;
  }
}
</style>
