<script setup lang="ts">
import { BOOM_UNKNOWNS, type BoomUnknown } from '#core/calibration/solveBoom'
import type { NozzleBenchTest } from '#core/calibration/benchTestShape'
import { LENGTH_UNITS, PRESSURE_UNITS, SPEED_UNITS } from '#core/quantity/units'

/** What is asked of a boom: one unknown, the others as they were measured unless something else is typed. */
const props = defineProps<{ trial: NozzleBenchTest }>()
const { set, locked } = useForm()
const crew = useCrewStore()
const WORDS: Readonly<Record<BoomUnknown, string>> = {
  speed: 'the speed',
  pressure: 'the pressure',
  flow: 'the nozzle flow',
  spacing: 'the spacing',
  carrier: 'the carrier',
}
const choices = BOOM_UNKNOWNS.map((value) => ({ value, text: WORDS[value] }))
const ask = computed(
  () =>
    props.trial.ask ?? {
      unknown: 'speed' as const,
      speed: { text: '', unit: crew.units.startsWith('metric') ? ('km/h' as const) : ('mph' as const) },
      spacing: { text: '', unit: props.trial.spacing.unit },
      pressure: { text: '', unit: props.trial.pressure.now.unit },
      gravity: '',
    },
)
const fan = computed(
  () =>
    props.trial.fan ?? {
      height: { text: '', unit: props.trial.spacing.unit },
      angle: { text: '', unit: '°' as const },
    },
)
/** The whole of it is set at once: it may not be there yet. */
const put = (fields: Partial<typeof ask.value>) => set('document.ask', { ...ask.value, ...fields })
const putFan = (fields: Partial<typeof fan.value>) => set('document.fan', { ...fan.value, ...fields })
const { problemAt } = useForm()
const wrong = (path: string) => (problemAt(path)?.kind === 'wrong' ? problemAt(path)?.message : undefined)
</script>

<template>
  <div class="fields">
    <ChoiceField
      label="What I want to know"
      :value="ask.unknown"
      :choices="choices"
      :locked="locked"
      @change="put({ unknown: $event })"
    />
    <FormQuantity
      v-if="ask.unknown !== 'carrier'"
      path="document.wanted"
      label="Carrier wanted"
      kind="carrier"
      :entered="trial.wanted"
    />
    <QuantityField
      v-if="ask.unknown !== 'speed'"
      path="document.ask.speed"
      label="Speed, if other"
      kind="speed"
      :entered="ask.speed"
      :units="SPEED_UNITS"
      :locked="locked"
      :problem="wrong('document.ask.speed')"
      @change="put({ speed: $event })"
    />
    <QuantityField
      v-if="ask.unknown !== 'spacing'"
      path="document.ask.spacing"
      label="Spacing, if other"
      kind="length"
      :entered="ask.spacing"
      :units="LENGTH_UNITS"
      :locked="locked"
      :problem="wrong('document.ask.spacing')"
      @change="put({ spacing: $event })"
    />
    <QuantityField
      v-if="ask.unknown !== 'pressure' && ask.unknown !== 'flow'"
      path="document.ask.pressure"
      label="Pressure, if other"
      kind="pressure"
      :entered="ask.pressure"
      :units="PRESSURE_UNITS"
      :locked="locked"
      :problem="wrong('document.ask.pressure')"
      @change="put({ pressure: $event })"
    />
    <TextField
      label="Specific gravity"
      :text="ask.gravity"
      placeholder="1, water"
      inputmode="decimal"
      :locked="locked"
      :problem="wrong('document.ask.gravity')"
      @change="put({ gravity: $event })"
    />
    <FormQuantity
      path="document.pressure.now"
      label="Pressure now"
      kind="pressure"
      :entered="trial.pressure.now"
      :units="PRESSURE_UNITS"
    />
    <FormQuantity
      path="document.pressure.low"
      label="Nozzle works from"
      kind="pressure"
      :entered="trial.pressure.low"
      :units="PRESSURE_UNITS"
    />
    <FormQuantity
      path="document.pressure.high"
      label="to"
      kind="pressure"
      :entered="trial.pressure.high"
      :units="PRESSURE_UNITS"
    />
    <QuantityField
      path="document.fan.height"
      label="Spray height"
      kind="length"
      :entered="fan.height"
      :units="LENGTH_UNITS"
      :locked="locked"
      :problem="wrong('document.fan.height')"
      @change="putFan({ height: $event })"
    />
    <QuantityField
      path="document.fan.angle"
      label="Fan angle"
      kind="angle"
      :entered="fan.angle"
      :locked="locked"
      :problem="wrong('document.fan.angle')"
      @change="putFan({ angle: $event })"
    />
  </div>
</template>
