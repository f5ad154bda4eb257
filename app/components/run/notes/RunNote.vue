<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { readPositive, type Entered } from '#core/quantity/entered'
import { SYSTEM_UNITS } from '#core/quantity/systems'
import { AREA_UNITS, MASS_UNITS, VOLUME_UNITS, type AmountUnit, type AreaUnit } from '#core/quantity/units'
import type { MishapEntry } from '#core/run/carriedShape'
import { MISHAPS } from '#core/run/carriedChoices'
import type { EventBody } from '~/composables/run/useRun'

/** What is written down beside the steps: a pause, a strip, a mishap, a photo, a note. */
const { what } = defineProps<{ what: Exclude<RunNoteKind, 'spots'> }>()
const open = defineModel<boolean>('open', { required: true })
const { frozen, keep, open: openStep } = useRunScreen()
const crew = useCrewStore()
const outbox = useOutboxStore()
const words = ref('')
const mishap = ref<MishapEntry['what']>('spill')
const wet = computed(() => frozen.value.request.method.kind === 'spray')
const size = ref<Entered<AreaUnit>>({ text: '', unit: SYSTEM_UNITS[crew.units].size })
const amount = ref<Entered<AmountUnit>>({
  text: '',
  unit: wet.value ? SYSTEM_UNITS[crew.units].tank : SYSTEM_UNITS[crew.units].weight,
})
const problem = ref<string>()
const photo = ref<File | null>()
const TITLES = {
  pause: ['Pause', 'The run waits here; the record says from when to when.'],
  strip: [
    'Extra strip',
    'Ground beyond the plan that took what was left: it is a piece of its own on the record.',
  ],
  mishap: ['Spill, or a stop', 'What happened stands on the record; first see to people and water.'],
  photo: ['Photo', 'Taken now or chosen; made small on this device.'],
  words: ['Note', 'It stands on the record with its time.'],
  over: [
    'On another device',
    'Two devices may work on one run: of two entries for one step the later counts.',
  ],
} as const
const MISHAP_WORDS: Readonly<Record<MishapEntry['what'], string>> = {
  spill: 'Spill',
  breakdown: 'Machine broke down',
  weather: 'Weather turned',
  people: 'People came onto the lawn',
  other: 'Something else',
}
const choices = MISHAPS.map((value) => ({ value, text: MISHAP_WORDS[value] }))
const ADVICE: Readonly<Record<MishapEntry['what'], string>> = {
  spill:
    'Stop the flow, keep people away, gear on. Dam it with soil or sand, keep it out of drains and water, ' +
    'take it up and use it at the label’s rate on ground that may have it. On skin or in eyes: water, and ' +
    'the label.',
  breakdown: 'Gate shut, pump off, pressure off before anything is opened. Note how far you came.',
  weather:
    'Stop. What is in the tank keeps as its label says; the rest goes out on another day, freshly read.',
  people: 'Stop until they are off the lawn, and tell them when they may go back.',
  other: 'Stop where it is safe, and write down how far you came.',
}

async function save() {
  problem.value = undefined
  const bodies = await entries()
  if (!bodies) return
  await keep(bodies)
  open.value = false
}

async function entries(): Promise<readonly EventBody[] | undefined> {
  switch (what) {
    case 'pause':
      return [{ kind: 'paused', payload: { reason: words.value.trim() } }]
    case 'words':
      if (words.value.trim() === '') problem.value = 'Nothing is written yet.'
      return problem.value ? undefined : [{ kind: 'noted', payload: { words: words.value.trim() } }]
    case 'mishap':
      return [{ kind: 'mishap', payload: { what: mishap.value, words: words.value.trim() } }]
    case 'strip': {
      const ground = readPositive(size.value, 'area', 'The strip')
      const onto = readPositive(amount.value, 'amount', 'What went there')
      if (!ground.ok || !onto.ok) {
        problem.value = ground.ok ? (onto.ok ? undefined : onto.error.message) : ground.error.message
        return undefined
      }
      const payload = { id: uuid(), name: words.value.trim(), size: ground.value, amount: onto.value }
      return [{ kind: 'strip', payload } as EventBody]
    }
    case 'photo': {
      if (!photo.value) {
        problem.value = 'No photo is chosen yet.'
        return undefined
      }
      const attachmentId = await keepSmallPhoto(photo.value, crew.organization?.id ?? '')
      if (attachmentId === undefined) {
        problem.value = 'This picture cannot be read here: take it as JPEG or PNG.'
        return undefined
      }
      return [{ kind: 'photo', payload: { attachmentId, words: words.value.trim() } }]
    }
    case 'over':
      return []
    default:
      return what satisfies never
  }
}
</script>

<template>
  <UModal v-model:open="open" :title="TITLES[what][0]" :description="TITLES[what][1]">
    <template #body>
      <form class="space-y-4" @submit.prevent="save">
        <ChoiceField
          v-if="what === 'mishap'"
          label="What happened"
          :value="mishap"
          :choices="choices"
          @change="mishap = $event"
        />
        <p v-if="what === 'mishap'">{{ ADVICE[mishap] }}</p>
        <p v-if="what === 'mishap' && crew.organization?.settings.poisonCentre">
          Poison line: <strong>{{ crew.organization.settings.poisonCentre }}</strong>
        </p>
        <template v-if="what === 'strip'">
          <QuantityField
            path="strip.size"
            label="How large"
            kind="area"
            :entered="size"
            :units="AREA_UNITS"
            @change="size = $event"
          />
          <QuantityField
            path="strip.amount"
            :label="wet ? 'Spray that went there' : 'Product that went there'"
            kind="amount"
            :entered="amount"
            :units="wet ? VOLUME_UNITS : MASS_UNITS"
            @change="amount = $event"
          />
        </template>
        <UFileUpload
          v-if="what === 'photo'"
          v-model="photo"
          accept="image/*"
          capture="environment"
          label="Take or choose a photo"
          icon="i-lucide-camera"
          class="w-full min-h-40"
        />
        <TextField
          v-if="what !== 'over'"
          :label="
            what === 'strip'
              ? 'Where'
              : what === 'pause'
                ? 'Why'
                : what === 'photo'
                  ? 'What it shows'
                  : 'In words'
          "
          :text="words"
          :maxlength="2000"
          @change="words = $event"
        />
        <template v-if="what === 'over'">
          <p v-if="outbox.waiting === 0">
            All of it is on the server. Open the job on the other device: it goes on at the same step.
          </p>
          <p v-else>
            {{ outbox.waiting }} entries still wait on this device: the other one sees the run without them
            until there is a network here.
          </p>
        </template>
        <p v-if="problem" role="alert" class="text-(--stop)">{{ problem }}</p>
        <div class="flex flex-wrap gap-3">
          <UButton
            type="submit"
            size="xl"
            color="primary"
            variant="solid"
            :label="what === 'over' ? 'Good' : 'Write it down'"
          />
          <UButton
            v-if="what === 'mishap'"
            size="xl"
            label="Finish early"
            @click="((open = false), openStep('rest'))"
          />
        </div>
      </form>
    </template>
  </UModal>
</template>
