<script setup lang="ts">
import { ACTIVE_GROUPS, groupOf } from '#core/label/modeOfAction'
import type { ProductDocument } from '#core/label/productDocument'
import { CONTENT_UNITS } from '#core/quantity/units'

/**
 * One active with its content and mode-of-action group; the published group comes with the name, the label's
 * own print goes before it.
 */
const props = defineProps<{ active: ProductDocument['actives'][number]; index: number }>()
const emit = defineEmits<{ drop: [] }>()
const { set, locked } = useForm()
const listId = useId()
const path = computed(() => `document.actives.${props.index}`)
const published = computed(() => groupOf(props.active.name))
const words = computed(() => {
  if (!published.value) return ''
  const { group, action, source } = published.value
  const same = props.active.group.trim().toUpperCase() === group
  return `${same ? '' : `The table says group ${group}: `}${action} (${source}).`
})
function name(text: string) {
  const found = groupOf(text)
  set(path.value, {
    ...props.active,
    name: text,
    group: found && props.active.group.trim() === '' ? found.group : props.active.group,
  })
}
</script>

<template>
  <div>
    <div class="grid grid-cols-[1.6fr_1fr_80px_auto] items-end gap-2">
      <LabelledField v-slot="{ id }" label="Active ingredient">
        <input
          :id="id"
          class="field"
          :value="active.name"
          :data-path="`${path}.name`"
          :list="listId"
          :disabled="locked"
          maxlength="200"
          autocomplete="off"
          @input="name(($event.target as HTMLInputElement).value)"
        />
      </LabelledField>
      <datalist :id="listId">
        <option v-for="one in ACTIVE_GROUPS" :key="one.name" :value="one.name" />
      </datalist>
      <FormQuantity
        :path="`${path}.content`"
        label="Content"
        kind="content"
        :entered="active.content"
        :units="CONTENT_UNITS"
      />
      <FormText :path="`${path}.group`" label="Group" :text="active.group" />
      <button v-if="!locked" type="button" class="plain-button way-out small pb-1.5" @click="emit('drop')">
        Remove<span class="sr-only"> {{ active.name }}</span>
      </button>
    </div>
    <p v-if="words" class="soft small">{{ words }}</p>
  </div>
</template>
