<script setup lang="ts">
import type { FrozenPlan } from '#core/run/runEvent'
import { AREA_UNITS, MASS_UNITS, VOLUME_UNITS, type VolumeUnit } from '#core/quantity/units'
import { showQuantity } from '#core/quantity/systems'
import { rateLawns } from '#core/run/rateLawns'

/** What came back, where it went and what had been put in: the figures an outcome is worked out from. */
const { outcome, frozen, tried } = defineProps<{
  outcome: ReturnType<typeof useOutcome>
  frozen: FrozenPlan
  /** Whether what is still missing is said too. */
  tried: boolean
}>()
const entries = computed(() => outcome.entries)
const wet = computed(() => outcome.wet)
const expected = computed(() => outcome.expectedLeft.value)
const problemAt = (path: string) => {
  const problem = outcome.read.value.problems[path]
  return tried || !problem?.endsWith('still missing.') ? problem : undefined
}
</script>

<template>
  <div class="fields items-end">
    <QuantityField
      path="left"
      :label="
        !wet
          ? 'Left in the hopper'
          : frozen.common?.to
            ? `Spray left, to drive on to ${frozen.common.to.site}`
            : 'Spray left in tank, hose and boom'
      "
      kind="amount"
      :entered="entries.left"
      :units="wet ? VOLUME_UNITS : MASS_UNITS"
      :hint="
        expected ? `as planned: ${showQuantity(expected).figure} ${showQuantity(expected).unit}` : undefined
      "
      :problem="problemAt('left')"
      @change="entries.left = $event"
    />
    <QuantityField
      path="treated"
      label="Lawn treated"
      kind="area"
      :entered="entries.treated"
      :units="AREA_UNITS"
      :problem="problemAt('treated')"
      @change="entries.treated = $event"
    />
    <QuantityField
      v-if="wet"
      path="made"
      :label="frozen.common ? 'Spray in the tank here, carried and made' : 'Spray made, all loads'"
      kind="volume"
      :entered="entries.made as { text: string; unit: VolumeUnit }"
      :units="VOLUME_UNITS"
      :problem="problemAt('made')"
      @change="entries.made = $event"
    />
    <QuantityField
      v-for="put in entries.putIn"
      :key="put.productId"
      :path="`putIn.${put.productId}`"
      :label="
        wet ? `${put.name}, ${frozen.common ? 'in all of it' : 'all loads'}` : `${put.name}, weighed in`
      "
      kind="amount"
      :entered="put.entered"
      :problem="problemAt(`putIn.${put.productId}`)"
      @change="put.entered = $event"
    />
    <QuantityField
      v-for="(entered, i) in entries.apart"
      :key="i"
      :path="`apart.${i}`"
      :label="`${wet ? 'Spray' : 'Of it'} on ${rateLawns(frozen, i)}`"
      kind="amount"
      :entered="entered"
      :units="wet ? VOLUME_UNITS : MASS_UNITS"
      :hint="i === entries.apart.length - 1 ? `the rest is on ${rateLawns(frozen, i + 1)}` : undefined"
      :problem="problemAt(`apart.${i}`)"
      @change="entries.apart[i] = $event"
    />
  </div>
  <p v-if="problemAt('strips')" role="alert" class="text-(--stop)">{{ problemAt('strips') }}</p>
</template>
