<script setup lang="ts">
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
const input = useTemplateRef('input')
onMounted(() => {
  if (props.fresh && props.name === '') input.value?.focus()
})
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
          <textarea
            ref="input"
            rows="1"
            class="name title"
            :aria-label="`Name of the ${what}`"
            :placeholder="placeholder"
            :value="name"
            :data-path="namePath"
            maxlength="200"
            autocomplete="off"
            @keydown.enter.prevent
            @input="set(namePath, ($event.target as HTMLTextAreaElement).value.replaceAll('\n', ' '))"
          />
        </template>
        <p class="small flex flex-wrap items-baseline gap-x-4">
          <slot name="about" />
          <SaveMark :state="saveState" />
          <UButton v-if="own.may('govern')" label="Delete" variant="link" size="sm" @click="emit('remove')" />
          <HistoryFold :row-id="rowId" />
        </p>
      </div>
      <slot />
    </div>
    <ConflictBar
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
.name {
  background: transparent;
  border: 0;
  border-bottom: 1px dashed transparent;
  font-size: 25px;
  line-height: 1.25;
  font-weight: 600;
  width: 100%;
  display: block;
  resize: none;
  field-sizing: content;
  overflow: hidden;
}
.name::placeholder {
  color: var(--soft);
  opacity: 1;
}
.name:hover,
.name:placeholder-shown {
  border-bottom-color: var(--rule-strong);
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
