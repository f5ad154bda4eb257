<script setup lang="ts">
import { CUE_KINDS, type CueKind } from '#core/season/cues/cue'
import { v7 as uuid } from 'uuid'

/** Something seen on the site that tells the season: a bloom, the first mow, half green. */
const props = defineProps<{ siteId: string }>()
const emit = defineEmits<{ saved: [] }>()
const crew = useCrewStore()
const notice = useNotice()
const open = ref(false)
const blank = () => ({ id: uuid(), on: crew.today(), kind: 'shrub in bloom' as CueKind })
const entry = ref(blank())
const problem = ref<string>()
const kinds = CUE_KINDS.map((value) => ({ value, text: value }))

async function save() {
  const cue = entry.value
  problem.value = cue.on === '' ? 'The day it was seen on.' : undefined
  if (problem.value) return
  try {
    // Read just before: others may have noted something meanwhile.
    const { id, version, name, place, document } = await ask(questions.site(props.siteId))
    const others = (document.cues ?? []).filter((one) => one.id !== cue.id)
    await tell('PUT', `/library/sites/${id}`, {
      version,
      name,
      place,
      document: { ...document, cues: [...others, cue] },
    })
  } catch (error) {
    problem.value = errorText(error)
    return
  }
  open.value = false
  notice.say(`Noted: ${cue.kind}.`)
  entry.value = blank()
  emit('saved')
}
</script>

<template>
  <UPopover v-model:open="open">
    <UButton icon="i-lucide-eye" label="Seen" aria-label="Note what was seen on this site" />
    <template #content>
      <form class="grid w-72 gap-3 p-4" @submit.prevent="save">
        <p class="soft small">What tells the season here, a second opinion beside the soil.</p>
        <ChoiceField label="Seen" :value="entry.kind" :choices="kinds" @change="entry.kind = $event" />
        <DayField label="Day" :day="entry.on" @change="entry.on = $event" />
        <p v-if="problem" role="alert" class="small">{{ problem }}</p>
        <UButton type="submit" label="Keep it" color="primary" variant="solid" />
      </form>
    </template>
  </UPopover>
</template>
