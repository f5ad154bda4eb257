<script setup lang="ts">
import type * as Leaflet from 'leaflet'
import { boundsOf, turned, type Point, type Ring } from '#core/ground/plane'
import { wayToTouch } from '#core/ground/touch'

/**
 * Ground whose place is schematic, taken by the hand: dragged as a whole, with its exclusions; dropped near
 * other ground it comes to touch it. The one that is chosen has a handle to turn it by.
 */
const props = defineProps<{
  rings: readonly Ring[]
  /** What stands around it. */
  standing: readonly Ring[]
  chosen: boolean
  label: string
}>()
const emit = defineEmits<{ take: []; moved: [dx: number, dy: number]; turned: [degrees: number] }>()
/** How near something must be dropped to touch, and how far off the handle stands, pixels. */
const REACH_PX = 12
const HANDLE_PX = 30

useMapLayer((L, map, context) => {
  const {
    colours: { value: colours },
    toView,
    fromView,
  } = context
  const metresPerPixel = () => 1 / 2 ** map.getZoom()
  const polygon = L.polygon(
    props.rings.map((ring) => viewRing(ring, context)),
    {
      color: props.chosen ? colours.action : colours.soft,
      weight: props.chosen ? 2.5 : 1.5,
      dashArray: '6 4',
      fillColor: colours['action-tint'],
      fillOpacity: props.chosen ? 0.45 : 0.05,
    },
  ).addTo(map)
  const first = () => fromView((polygon.getLatLngs() as Leaflet.LatLng[][])[0]![0]!)
  let before = first()
  polygon.pm.enableLayerDrag()
  polygon.on('pm:dragstart', () => {
    before = first()
  })
  polygon.on('click', () => emit('take'))
  polygon.on('pm:dragend', () => {
    const [x, y] = first()
    const [dx, dy] = [x - before[0], y - before[1]]
    const there = props.rings.map((ring) => ring.map(([px, py]): Point => [px + dx, py + dy]))
    const [onX, onY] = wayToTouch(there, props.standing, REACH_PX * metresPerPixel()) ?? [0, 0]
    emit('take')
    emit('moved', dx + onX, dy + onY)
  })
  const box = boundsOf(props.rings.flat())
  if (!props.chosen || !box) return [polygon]
  const middle: Point = [(box.minX + box.maxX) / 2, (box.minY + box.maxY) / 2]
  const handle = L.marker(toView([middle[0], box.maxY + HANDLE_PX * metresPerPixel()]), {
    draggable: true,
    keyboard: false,
    title: `Turn ${props.label}`,
    icon: L.divIcon({ className: 'turn-handle', iconSize: [26, 26] }),
    pmIgnore: true,
    snapIgnore: true,
  } as Leaflet.MarkerOptions).addTo(map)
  const angle = () => {
    const [x, y] = fromView(handle.getLatLng())
    return (Math.atan2(x - middle[0], y - middle[1]) * 180) / Math.PI
  }
  handle.on('drag', () => {
    polygon.setLatLngs(
      props.rings.map((ring) =>
        viewRing(
          ring.map((point) => turned(point, middle, angle())),
          context,
        ),
      ),
    )
  })
  handle.on('dragend', () => emit('turned', Math.round(angle())))
  return [polygon, handle]
})
</script>

<template>
  <slot />
</template>
