<script setup lang="ts">
import type { PaintedRates } from '../../workers/paintedRates'
import type { WorstStrip } from '#core/lanes/coverage/worstStrip'

/** What each place gets, painted over the plan; the worst strip is framed. */
const props = defineProps<{ picture: PaintedRates; worst: WorstStrip | undefined }>()
const address = ref('')
watch(
  () => props.picture,
  ({ blob }) => {
    if (address.value) URL.revokeObjectURL(address.value)
    address.value = URL.createObjectURL(blob)
  },
  { immediate: true },
)
onBeforeUnmount(() => URL.revokeObjectURL(address.value))
useMapLayer((L, map, { toView, colours: { value: colours } }) => {
  const { minX, minY, maxX, maxY } = props.picture.bounds
  const heat = L.imageOverlay(
    address.value,
    [
      [minY, minX],
      [maxY, maxX],
    ],
    { className: 'rate-heat', alt: 'Rates over the lawn, told in the figures beside it' },
  ).addTo(map)
  const { worst } = props
  if (!worst) return [heat]
  const strip = L.polyline(worst.line.map(toView), {
    color: colours.ink,
    weight: 2.5,
    dashArray: '2 5',
    interactive: false,
  }).addTo(map)
  return [heat, strip]
})
</script>

<template>
  <slot />
</template>
