<script setup lang="ts">
import type * as Leaflet from 'leaflet'
import type { Point } from '#core/ground/plane'

/**
 * What can be taken by the hand on a lawn: the arrow of its first pass, where one begins, and
 * where the truck stands. Each can be typed or chosen beside the plan too.
 */
const props = defineProps<{
  middle: Point
  /** How long the arrow is drawn, m. */
  reach: number
  direction: number
  start: Point | undefined
  truck: Point | undefined
}>()
const emit = defineEmits<{ turned: [degrees: number]; begun: [at: Point]; parked: [at: Point] }>()

useMapLayer((L, map, context) => {
  const {
    toView,
    fromView,
    colours: { value: colours },
  } = context
  const [x, y] = props.middle
  const angle = (props.direction * Math.PI) / 180
  const tip: Point = [x + props.reach * Math.sin(angle), y + props.reach * Math.cos(angle)]
  const arrow = L.polyline([toView(props.middle), toView(tip)], {
    color: colours.action,
    weight: 3,
    interactive: false,
    pmIgnore: true,
    snapIgnore: true,
  } as Leaflet.PolylineOptions).addTo(map)
  const grip = (at: Point, className: string, title: string, text = '') =>
    L.marker(toView(at), {
      draggable: true,
      keyboard: false,
      title,
      icon: L.divIcon({
        className: `lane-grip ${className}`,
        html: Object.assign(document.createElement('span'), { textContent: text }),
        iconSize: [28, 28],
      }),
      pmIgnore: true,
      snapIgnore: true,
    } as Leaflet.MarkerOptions).addTo(map)
  const turn = grip(tip, 'turn', 'Drag to turn the lanes')
  turn.on('drag', () => arrow.setLatLngs([toView(props.middle), turn.getLatLng()]))
  turn.on('dragend', () => {
    const [u, v] = fromView(turn.getLatLng())
    const degrees = Math.round((Math.atan2(u - x, v - y) * 180) / Math.PI)
    emit('turned', ((degrees % 180) + 180) % 180)
  })
  const layers: Leaflet.Layer[] = [arrow, turn]
  const carried = (
    at: Point | undefined,
    kind: string,
    title: string,
    text: string,
    put: (at: Point) => void,
  ) => {
    if (!at) return
    const marker = grip(at, kind, title, text)
    marker.on('dragend', () => put(fromView(marker.getLatLng())))
    layers.push(marker)
  }
  carried(props.start, 'start', 'Drag to begin elsewhere', '▶', (at) => emit('begun', at))
  carried(props.truck, 'truck', 'Drag to where the truck stands', 'T', (at) => emit('parked', at))
  return layers
})
</script>

<template>
  <slot />
</template>
