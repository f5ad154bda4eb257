<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import type { Entered } from '#core/quantity/entered'
import type { KindUnits } from '#core/quantity/parseQuantity'
import { SYSTEM_UNITS } from '#core/quantity/systems'

/** The runs of a calibration, each with the figures its method asks for. */
const props = defineProps<{
  runs: readonly { readonly id: string }[]
  fields: readonly RunField[]
  path: string
}>()
const { set, locked, go } = useForm()
const crew = useCrewStore()
type Run = Readonly<Partial<Record<RunField['name'], Entered<KindUnits[RunField['kind']]>>>>
const system = computed(() => SYSTEM_UNITS[crew.units])
/** A jug is read finer than a tank. */
const jug = computed(() => (system.value.length === 'm' ? ('mL' as const) : ('fl oz' as const)))
const usual = computed(() => ({
  mass: system.value.weight,
  volume: props.fields.some(({ name }) => name === 'time') ? jug.value : system.value.tank,
  stopwatch: 's' as const,
}))

/** Another run stands in the units of the last; a hopper weighed back is weighed in again. */
function add() {
  const last = props.runs.at(-1) as Run | undefined
  const fresh = Object.fromEntries(
    Object.entries(last ?? {})
      .filter(([name]) => name !== 'id')
      .map(([name, value]) => [name, { ...value, text: '' }]),
  )
  const again =
    props.fields[0]?.kind === 'mass' && last?.left?.text && last.start
      ? { start: { ...last.start, text: last.left.text, unit: last.left.unit } }
      : {}
  const place = props.runs.length
  const [field] = props.fields.filter(({ name }) => !(name in again))
  set(props.path, [...props.runs, { ...fresh, ...again, id: uuid() }])
  if (field) void go(`${props.path}.${place}.${field.name}`)
}
</script>

<template>
  <div class="fields">
    <template v-for="(run, i) in runs" :key="run.id">
      <QuantityField
        v-for="field in fields"
        :key="field.name"
        :path="`${path}.${i}.${field.name}`"
        :label="`Run ${i + 1}: ${field.label}`"
        :unit="usual[field.kind]"
      />
    </template>
  </div>
  <div v-if="!locked" class="flex gap-4">
    <UButton variant="link" size="sm" @click="add">Add a run</UButton>
    <UButton v-if="runs.length > 1" variant="link" size="sm" @click="set(path, runs.slice(0, -1))">
      Remove the last run
    </UButton>
  </div>
</template>
