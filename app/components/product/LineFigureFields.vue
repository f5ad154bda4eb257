<script setup lang="ts">
import { LINE_FIGURES, type LineFigure } from '#core/label/productDocument'
import type { RateLine } from '#core/label/productShape'
import type { Entered } from '#core/quantity/entered'
import type { KindUnits } from '#core/quantity/parseQuantity'
import { CARRIER_UNITS, LENGTH_UNITS, SPEED_UNITS, TEMPERATURE_UNITS, TIME_UNITS } from '#core/quantity/units'

/** Figures of a label's line beside its rate, each in its own unit. */
const props = defineProps<{ line: RateLine; path: string; names: readonly LineFigure[] }>()
const { set, problemAt, locked } = useForm()
type FigureKind = (typeof LINE_FIGURES)[LineFigure]['kind']
const UNITS = {
  time: TIME_UNITS,
  length: LENGTH_UNITS,
  speed: SPEED_UNITS,
  temperature: TEMPERATURE_UNITS,
  carrier: CARRIER_UNITS.filter((unit) => /^(gal|L)\/(1000 ft2|ac|100 m2|ha)$/.test(unit)),
}
const entered = (name: LineFigure) =>
  (props.line.figures?.[name] ?? { text: '', unit: LINE_FIGURES[name].unit }) as Entered<
    KindUnits[FigureKind]
  >
const wrong = (path: string) => (problemAt(path)?.kind === 'wrong' ? problemAt(path)?.message : undefined)
</script>

<template>
  <QuantityField
    v-for="name in names"
    :key="name"
    :path="`${path}.figures.${name}`"
    :label="LINE_FIGURES[name].what"
    :kind="LINE_FIGURES[name].kind"
    :entered="entered(name)"
    :units="UNITS[LINE_FIGURES[name].kind]"
    :locked="locked"
    :problem="wrong(`${path}.figures.${name}`)"
    @change="set(`${path}.figures`, { ...line.figures, [name]: $event })"
  />
</template>
