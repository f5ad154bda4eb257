<script setup lang="ts">
import { nozzleWidth, walkedTool } from '#core/calibration/equipmentDocument'
import { SPRAYER_TYPES, SPREADER_TYPES, TOOL_TYPES } from '#core/calibration/equipmentKinds'
import type { EquipmentDocument } from '#core/calibration/equipmentShape'
import type { ToolReading } from '#core/ground/toolCourse'
import { fieldReader } from '#core/quantity/fieldReader'
import { AMOUNT_UNITS, LENGTH_UNITS, MASS_UNITS, VOLUME_UNITS } from '#core/quantity/units'

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
      <FormChoice
        path="document.type"
        label="Kind"
        :value="document.type"
        :choices="choices(SPREADER_TYPES)"
      />
      <FormQuantity
        path="document.hopper"
        label="Hopper holds"
        kind="mass"
        :entered="document.hopper"
        :units="MASS_UNITS"
      />
      <FormQuantity
        path="document.reserve"
        label="Reserve charge"
        kind="mass"
        :entered="document.reserve"
        :units="MASS_UNITS"
        hint="the last of the hopper spreads badly"
      />
      <FormQuantity
        path="document.swath"
        label="Swath"
        kind="length"
        :entered="document.swath"
        :units="LENGTH_UNITS"
      />
      <FormText path="document.dial.low" label="Dial from" :text="document.dial.low" />
      <FormText path="document.dial.high" label="Dial to" :text="document.dial.high" />
    </template>
    <template v-else-if="document.kind === 'sprayer'">
      <FormChoice
        path="document.type"
        label="Kind"
        :value="document.type"
        :choices="choices(SPRAYER_TYPES)"
      />
      <FormQuantity
        path="document.tank"
        label="Tank holds"
        kind="volume"
        :entered="document.tank"
        :units="VOLUME_UNITS"
      />
      <FormQuantity
        path="document.fillTo"
        label="Filled to"
        kind="volume"
        :entered="document.fillTo"
        :units="VOLUME_UNITS"
        hint="blank: the whole tank"
      />
      <FormQuantity
        path="document.dead"
        label="Stays in hose and boom"
        kind="volume"
        :entered="document.dead"
        :units="VOLUME_UNITS"
      />
      <FormQuantity
        path="document.agitate"
        label="Agitates from"
        kind="volume"
        :entered="document.agitate"
        :units="VOLUME_UNITS"
      />
      <FormText path="document.nozzles.count" label="Nozzles" :text="document.nozzles.count" />
      <FormQuantity
        path="document.nozzles.spacing"
        label="Nozzle spacing"
        kind="length"
        :entered="document.nozzles.spacing"
        :units="LENGTH_UNITS"
      />
      <FormText path="document.nozzles.what" label="Which nozzles" :text="document.nozzles.what" />
      <FormDay path="document.nozzles.fitted" label="Fitted on" :day="document.nozzles.fitted ?? ''" />
      <NozzleDrops :nozzles="document.nozzles" />
      <p v-if="width !== undefined" class="soft small self-end">
        together they cover <FigureText :shown="shown.distance(width)" />
      </p>
    </template>
    <template v-else>
      <FormChoice path="document.type" label="Kind" :value="document.type" :choices="choices(TOOL_TYPES)" />
      <ToolRuns v-if="walkedTool(document.type)" :document="document" :tool="tool" />
      <template v-else>
        <FormQuantity
          path="document.step"
          label="Smallest step"
          kind="amount"
          :entered="document.step"
          :units="AMOUNT_UNITS"
        />
        <FormQuantity
          path="document.capacity"
          label="Takes up to"
          kind="amount"
          :entered="document.capacity"
          :units="AMOUNT_UNITS"
        />
        <FormQuantity
          path="document.tare"
          label="Tare"
          kind="mass"
          :entered="document.tare"
          :units="MASS_UNITS"
          hint="what the empty tub weighs"
        />
      </template>
    </template>
  </div>
</template>
