<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { DROP_SIZES, type DropRow } from '#core/calibration/dropSize'
import type { SprayerDocument } from '#core/calibration/equipmentShape'
import { SYSTEM_UNITS } from '#core/quantity/systems'

/** Drop sizes of the nozzles that are on, as their own sheet prints them, pressure by pressure. */
const props = defineProps<{ nozzles: SprayerDocument['nozzles'] }>()
const { set, locked } = useForm()
const crew = useCrewStore()
const rows = computed(() => props.nozzles.drops ?? [])
const sizes = DROP_SIZES.map((value) => ({ value, text: value }))
const put = (drops: readonly DropRow[]) => set('document.nozzles.drops', drops)
const add = () =>
  put([
    ...rows.value,
    {
      id: uuid(),
      pressure: { text: '', unit: SYSTEM_UNITS[crew.units].length === 'm' ? 'bar' : 'psi' },
      size: rows.value.at(-1)?.size ?? 'medium',
    },
  ])
</script>

<template>
  <div class="col-span-full space-y-2">
    <div v-for="(row, i) in rows" :key="row.id" class="fields items-end">
      <QuantityField :path="`document.nozzles.drops.${i}.pressure`" :label="`Pressure ${i + 1}`" />
      <ChoiceField :path="`document.nozzles.drops.${i}.size`" label="gives drops that are" :choices="sizes" />
      <RemoveButton path="document.nozzles.drops" :list="rows" :id="row.id" :what="`pressure ${i + 1}`" />
    </div>
    <p v-if="!locked">
      <UButton
        variant="link"
        size="sm"
        :label="rows.length === 0 ? 'Drop sizes from the nozzles’ sheet' : 'Another pressure'"
        @click="add"
      />
    </p>
  </div>
</template>
