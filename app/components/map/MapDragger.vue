<script setup lang="ts">
import type * as Leaflet from 'leaflet'
import type { Ring } from '#core/ground/plane'

/** Ground whose place is schematic, taken by the hand: dragged as a whole, with its exclusions. */
const props = defineProps<{ rings: readonly Ring[] }>()
const emit = defineEmits<{ moved: [dx: number, dy: number] }>()

useMapLayer((L, map, context) => {
  const {
    colours: { value: colours },
    fromView,
  } = context
  const polygon = L.polygon(
    props.rings.map((ring) => viewRing(ring, context)),
    {
      color: colours.action,
      weight: 2.5,
      dashArray: '6 4',
      fillColor: colours['action-tint'],
      fillOpacity: 0.45,
    },
  ).addTo(map)
  const first = () => fromView((polygon.getLatLngs() as Leaflet.LatLng[][])[0]![0]!)
  let before = first()
  polygon.pm.enableLayerDrag()
  polygon.on('pm:dragstart', () => {
    before = first()
  })
  polygon.on('pm:dragend', () => {
    const [x, y] = first()
    emit('moved', x - before[0], y - before[1])
  })
  return [polygon]
})
</script>

<template>
  <slot />
</template>
