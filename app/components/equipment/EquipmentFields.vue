<script setup lang="ts">
import { nozzleWidth, walkedTool } from '#core/calibration/equipmentDocument'
import { SPRAYER_TYPES, SPREADER_TYPES, TOOL_TYPES } from '#core/calibration/equipmentKinds'
import type { EquipmentDocument } from '#core/calibration/equipmentShape'
import type { ToolReading } from '#core/ground/toolCourse'
import { fieldReader } from '#core/quantity/fieldReader'

/** The figures of a spreader, a sprayer or a measuring tool. */
const props = defineProps<{ document: EquipmentDocument; tool?: ToolReading }>()
const shown = useShown()
const choices = <V extends string>(values: readonly V[]) => values.map((value) => ({ value, text: value }))
const width = computed(() =>
  props.document.kind === 'sprayer' ? nozzleWidth(props.document, fieldReader()) : undefined,
)
</script>

<template>
  <div class="fields">
    <template v-if="document.kind === 'spreader'">
      <ChoiceField path="document.type" label="Kind" :choices="choices(SPREADER_TYPES)" />
      <QuantityField path="document.hopper" />
      <QuantityField path="document.reserve" />
      <QuantityField path="document.swath" />
      <TextField path="document.dial.low" label="Dial from" />
      <TextField path="document.dial.high" label="Dial to" />
    </template>
    <template v-else-if="document.kind === 'sprayer'">
      <ChoiceField path="document.type" label="Kind" :choices="choices(SPRAYER_TYPES)" />
      <QuantityField path="document.tank" />
      <QuantityField path="document.fillTo" />
      <QuantityField path="document.dead" />
      <QuantityField path="document.agitate" />
      <TextField path="document.nozzles.count" label="Nozzles" />
      <QuantityField path="document.nozzles.spacing" />
      <TextField path="document.nozzles.what" label="Which nozzles" />
      <DayField path="document.nozzles.fitted" label="Fitted on" />
      <NozzleDrops :nozzles="document.nozzles" />
      <p v-if="width !== undefined" class="soft small self-end">
        together they cover <FigureText :shown="shown.distance(width)" />
      </p>
    </template>
    <template v-else>
      <ChoiceField path="document.type" label="Kind" :choices="choices(TOOL_TYPES)" />
      <ToolRuns v-if="walkedTool(document.type)" :document="document" :tool="tool" />
      <template v-else>
        <QuantityField path="document.step" />
        <QuantityField path="document.capacity" />
        <QuantityField path="document.tare" />
      </template>
    </template>
  </div>
</template>
