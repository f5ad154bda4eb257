<script setup lang="ts">
import { ACTIVE_GROUPS, groupOf } from '#core/label/modeOfAction'
import type { ProductDocument } from '#core/label/productShape'

/**
 * One active with its content and mode-of-action group; the published group comes with the name, the label's
 * own print goes before it.
 */
const props = defineProps<{
  actives: ProductDocument['actives']
  active: ProductDocument['actives'][number]
  index: number
}>()
const { set, locked } = useForm()
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
    <div class="fields items-end">
      <NameField
        label="Active ingredient"
        :text="active.name"
        :names="ACTIVE_GROUPS"
        :path="`${path}.name`"
        :locked="locked"
        @change="name"
      />
      <QuantityField :path="`${path}.content`" />
      <TextField :path="`${path}.group`" label="Group" />
      <RemoveButton path="document.actives" :list="actives" :id="active.id" :what="active.name" />
    </div>
    <p v-if="words" class="soft small">{{ words }}</p>
  </div>
</template>
