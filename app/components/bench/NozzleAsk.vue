<script setup lang="ts">
import { BOOM_UNKNOWNS, type BoomUnknown } from '#core/calibration/solveBoom'
import type { NozzleBenchTest } from '#core/calibration/benchTestShape'

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
    <QuantityField v-if="ask.unknown !== 'carrier'" path="document.wanted" />
    <QuantityField
      v-if="ask.unknown !== 'speed'"
      path="document.ask.speed"
      :entered="ask.speed"
      :locked="locked"
      @change="put({ speed: $event })"
    />
    <QuantityField
      v-if="ask.unknown !== 'spacing'"
      path="document.ask.spacing"
      :entered="ask.spacing"
      :locked="locked"
      @change="put({ spacing: $event })"
    />
    <QuantityField
      v-if="ask.unknown !== 'pressure' && ask.unknown !== 'flow'"
      path="document.ask.pressure"
      :entered="ask.pressure"
      :locked="locked"
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
    <QuantityField path="document.pressure.now" />
    <QuantityField path="document.pressure.low" />
    <QuantityField path="document.pressure.high" />
    <QuantityField
      path="document.fan.height"
      :entered="fan.height"
      :locked="locked"
      @change="putFan({ height: $event })"
    />
    <QuantityField
      path="document.fan.angle"
      :entered="fan.angle"
      :locked="locked"
      @change="putFan({ angle: $event })"
    />
  </div>
</template>
