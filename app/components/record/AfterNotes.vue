<script setup lang="ts">
import { daysAfter } from '#core/calendar/daysBetween'
import { readPositive, type Entered } from '#core/quantity/entered'
import { depthUnitOf } from '#core/quantity/toldDepth'
import type { LookEntry } from '#core/run/carriedShape'
import { LOOK_RESULTS } from '#core/run/carriedChoices'
import type { LengthUnit } from '#core/quantity/units'
import type { EventBody } from '~/composables/run/useRun'

/** What comes after a record: water that a gauge confirms, a look at what it did, a photo, a note. */
const { what, append } = defineProps<{
  what: 'water' | 'look' | 'photo' | 'words'
  /** Keeps it on this device and sends it; what was refused comes back in words. */
  append: (bodies: readonly EventBody[]) => Promise<string | undefined>
}>()
const open = defineModel<boolean>('open', { required: true })
const emit = defineEmits<{ added: [] }>()
const crew = useCrewStore()
const TITLES = {
  water: 'Watered in',
  look: 'Look at what it did',
  photo: 'Photo',
  words: 'Note',
} as const
const depth = ref<Entered<LengthUnit>>({ text: '', unit: depthUnitOf(crew.units) })
const from = ref<'irrigation' | 'rain'>('irrigation')
const FROM = [
  { value: 'irrigation', text: 'irrigation' },
  { value: 'rain', text: 'rain' },
] as const
const result = ref<LookEntry['result']>('worked')
const RESULT_WORDS: Readonly<Record<LookEntry['result'], string>> = {
  '': 'not to be told yet',
  worked: 'it worked',
  partly: 'in part',
  failed: 'it broke through',
  harmed: 'it harmed the turf',
}
const results = LOOK_RESULTS.map((value) => ({ value, text: RESULT_WORDS[value] }))
const NO_RATING = 0
const rating = ref(NO_RATING)
const untreated = ref(NO_RATING)
const ratings = [
  { value: NO_RATING, text: 'not rated' },
  ...Array.from({ length: 9 }, (_, i) => ({ value: i + 1, text: String(i + 1) })),
]
const patch = ref<Entered<LengthUnit>>({ text: '', unit: crew.units.startsWith('metric') ? 'cm' : 'in' })
const again = ref<'' | '7' | '14' | '28'>('')
const AGAIN = [
  { value: '', text: 'that is all' },
  { value: '7', text: 'in a week' },
  { value: '14', text: 'in two weeks' },
  { value: '28', text: 'in four weeks' },
] as const
const words = ref('')
const photo = ref<File | null>()
const problem = ref<string>()

async function entry(): Promise<EventBody | undefined> {
  switch (what) {
    case 'water': {
      const read = readPositive(depth.value, 'length', 'Water')
      if (!read.ok) problem.value = read.error.message
      return read.ok
        ? ({ kind: 'watered', payload: { from: from.value, depth: read.value } } as EventBody)
        : undefined
    }
    case 'look': {
      const across =
        patch.value.text.trim() === '' ? undefined : readPositive(patch.value, 'length', 'The patch')
      if (across && !across.ok) {
        problem.value = across.error.message
        return undefined
      }
      const payload: LookEntry = {
        on: crew.today(),
        result: result.value,
        words: words.value.trim(),
        ...(rating.value !== NO_RATING && { rating: rating.value }),
        ...(untreated.value !== NO_RATING && { untreated: untreated.value }),
        ...(across?.ok && { patch: across.value }),
        ...(again.value !== '' && { again: daysAfter(crew.today(), Number(again.value)) }),
      }
      return { kind: 'looked', payload } as EventBody
    }
    case 'photo': {
      const attachmentId = photo.value && (await keepSmallPhoto(photo.value, crew.organization?.id ?? ''))
      if (!attachmentId) problem.value = 'Choose a picture this device can read: JPEG or PNG.'
      return attachmentId
        ? { kind: 'photo', payload: { attachmentId, words: words.value.trim() } }
        : undefined
    }
    case 'words':
      if (words.value.trim() === '') problem.value = 'Nothing is written yet.'
      return problem.value ? undefined : { kind: 'noted', payload: { words: words.value.trim() } }
    default:
      return what satisfies never
  }
}

async function save() {
  problem.value = undefined
  const body = await entry()
  if (!body) return
  problem.value = await append([body])
  if (problem.value) return
  open.value = false
  emit('added')
}
</script>

<template>
  <UModal
    v-model:open="open"
    :title="TITLES[what]"
    description="It is added to the record with its day; what stands there stays."
  >
    <template #body>
      <form class="space-y-4" @submit.prevent="save">
        <template v-if="what === 'water'">
          <QuantityField
            path="depth"
            label="In the gauge, or run by a timer"
            kind="length"
            :entered="depth"
            :units="['in', 'mm']"
            @change="depth = $event"
          />
          <RadioField label="By" :value="from" :choices="FROM" @change="from = $event" />
        </template>
        <template v-if="what === 'look'">
          <ChoiceField label="What it did" :value="result" :choices="results" @change="result = $event" />
          <div class="fields">
            <ChoiceField label="Turf, 1 to 9" :value="rating" :choices="ratings" @change="rating = $event" />
            <ChoiceField
              label="Untreated strip"
              :value="untreated"
              :choices="ratings"
              @change="untreated = $event"
            />
            <QuantityField
              path="patch"
              label="Across the patch"
              kind="length"
              :entered="patch"
              :units="['in', 'ft', 'cm', 'm']"
              @change="patch = $event"
            />
            <ChoiceField label="Look again" :value="again" :choices="AGAIN" @change="again = $event" />
          </div>
        </template>
        <UFileUpload
          v-if="what === 'photo'"
          v-model="photo"
          accept="image/*"
          label="Take or choose a photo"
          icon="i-lucide-camera"
          class="w-full min-h-40"
        />
        <TextField
          v-if="what !== 'water'"
          :label="what === 'photo' ? 'What it shows' : 'In words'"
          :text="words"
          :maxlength="2000"
          @change="words = $event"
        />
        <p v-if="problem" role="alert" class="text-(--stop)">{{ problem }}</p>
        <UButton type="submit" color="primary" variant="solid" label="Add it" />
      </form>
    </template>
  </UModal>
</template>
