<script setup lang="ts">
import { readSiteMap } from '#core/ground/siteMap'
import { mergedArea } from '#core/ground/splitArea'
import type { AreaDocument } from '#core/ground/areaShape'
import type { Area } from '#shared/schemas/ground'

/** Two areas as one: pieces and notes of both, ground they share counted once. */
const props = defineProps<{ stored: readonly Area[] }>()
const emit = defineEmits<{ merge: [first: Area, second: Area, document: AreaDocument] }>()
const crew = useCrewStore()
const shown = useShown()
const firstId = ref(props.stored[0]?.id ?? '')
const secondId = ref(props.stored[1]?.id ?? '')
const choices = computed(() => props.stored.map(({ id, name }) => ({ value: id, text: name })))
const pair = computed(() => {
  const [first, second] = [firstId.value, secondId.value].map((id) =>
    props.stored.find((area) => area.id === id),
  )
  if (!first || !second || first === second) return undefined
  const document = mergedArea(first.document, second.document)
  return {
    first,
    second,
    document,
    size: readSiteMap([{ id: first.id, name: first.name, document }], crew.today()).areas[0]?.size,
  }
})
</script>

<template>
  <div class="space-y-2">
    <ChoiceField label="Keep" :value="firstId" :choices="choices" @change="firstId = $event" />
    <ChoiceField label="and take into it" :value="secondId" :choices="choices" @change="secondId = $event" />
    <p v-if="pair?.size" class="small">
      Together <FigureText :shown="shown.size(pair.size)" />. What grows there is told by
      {{ pair.first.name }}; past records stay with the area they were made for.
    </p>
    <p v-else class="soft small">Choose two areas.</p>
    <UButton
      color="primary"
      variant="solid"
      label="Merge"
      :disabled="!pair"
      @click="pair && emit('merge', pair.first, pair.second, pair.document)"
    />
  </div>
</template>
