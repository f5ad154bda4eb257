<script setup lang="ts">
import { readNotNegative, readPositive, type Entered } from '#core/quantity/entered'
import type { RunRecord } from '#core/run/foldRun'
import { DETAIL_NAMES, type Correction, type RunDetails } from '#core/run/runEvent'
import { AMOUNT_UNITS, AREA_UNITS, type AmountUnit, type AreaUnit } from '#core/quantity/units'
import type { NewRunEvent } from '#shared/schemas/run'
import { rateLawns } from '#core/run/rateLawns'

/** A correction: one entry, its new value, and why. What stood there stays. */
const props = defineProps<{ record: RunRecord; applicationId: string }>()
const emit = defineEmits<{ corrected: [] }>()
const open = defineModel<boolean>('open', { required: true })
const { appendOnline } = useRun(() => ({
  applicationId: props.applicationId,
  jobId: '',
  site: props.record.frozen.site,
}))
const used = computed(() => props.record.used)
interface Entry {
  readonly value: Correction['field']
  readonly text: string
}
const DETAIL_WORDS: Readonly<Record<keyof RunDetails, string>> = {
  by: 'Done by',
  licence: 'Licence',
  target: 'Target',
  weather: 'Weather',
  remarks: 'Remarks',
}
const fields = computed((): readonly Entry[] => [
  { value: 'left', text: 'Left over' },
  { value: 'treated', text: 'Lawn treated' },
  ...(used.value?.made ? [{ value: 'made', text: 'Spray made' } as const] : []),
  ...props.record.frozen.labels.map(({ productId, name }): Entry => ({
    value: `putIn.${productId}`,
    text: `Put in: ${name}`,
  })),
  ...(used.value?.apart ?? []).map((_, i): Entry => ({
    value: `apart.${i}`,
    text: `Of it on ${rateLawns(props.record.frozen, i)}`,
  })),
  ...DETAIL_NAMES.map((name): Entry => ({ value: name, text: DETAIL_WORDS[name] })),
])
const field = ref<Correction['field']>('left')
const figure = ref<Entered<AmountUnit | AreaUnit>>({ text: '', unit: 'lb' })
const words = ref('')
const reason = ref('')
const problem = ref<string>()
const isText = computed(() => (DETAIL_NAMES as readonly string[]).includes(field.value))

watch(
  field,
  (name) => {
    const trust =
      name === 'treated' || name === 'left' || name === 'made'
        ? used.value?.[name]
        : (used.value?.putIn.find(({ productId }) => name === `putIn.${productId}`)?.amount ??
          used.value?.apart?.find((_, i) => name === `apart.${i}`))
    if (trust) figure.value = { text: String(trust.value), unit: trust.unit }
    words.value = isText.value ? (props.record.details?.[name as keyof RunDetails] ?? '') : ''
  },
  { immediate: true },
)

function correction(): Correction | undefined {
  if (reason.value.trim() === '') problem.value = 'A correction needs its reason.'
  else if (isText.value)
    return { field: field.value as keyof RunDetails, now: words.value, reason: reason.value }
  else {
    const read =
      field.value === 'treated'
        ? readPositive(figure.value as Entered<AreaUnit>, 'area', 'Lawn treated')
        : field.value === 'left'
          ? readNotNegative(figure.value as Entered<AmountUnit>, 'amount', 'What was left')
          : readPositive(figure.value as Entered<AmountUnit>, 'amount', 'The amount')
    if (read.ok) return { field: field.value, now: read.value, reason: reason.value } as Correction
    problem.value = read.error.message
  }
  return undefined
}

async function save() {
  problem.value = undefined
  const payload = correction()
  if (!payload) return
  try {
    await appendOnline([
      { kind: 'corrected', payload: payload as Extract<NewRunEvent, { kind: 'corrected' }>['payload'] },
    ])
    open.value = false
    emit('corrected')
  } catch (error) {
    problem.value = errorText(error)
  }
}
</script>

<template>
  <UModal
    v-model:open="open"
    title="Correct this record"
    description="The first entry stays readable beside the correction."
  >
    <template #body>
      <form class="space-y-3" @submit.prevent="save">
        <ChoiceField label="What is wrong" :value="field" :choices="fields" @change="field = $event" />
        <TextField
          v-if="isText"
          label="What is right"
          :text="words"
          :maxlength="2000"
          @change="words = $event"
        />
        <QuantityField
          v-else-if="field === 'treated'"
          path="now"
          label="What is right"
          kind="area"
          :entered="figure as Entered<AreaUnit>"
          :units="AREA_UNITS"
          @change="figure = $event"
        />
        <QuantityField
          v-else
          path="now"
          label="What is right"
          kind="amount"
          :entered="figure as Entered<AmountUnit>"
          :units="AMOUNT_UNITS"
          @change="figure = $event"
        />
        <TextField label="Why" :text="reason" :maxlength="2000" @change="reason = $event" />
        <p v-if="problem" class="small" style="color: var(--stop)" role="alert">{{ problem }}</p>
        <UButton type="submit" label="Add the correction" color="primary" variant="solid" />
      </form>
    </template>
  </UModal>
</template>
