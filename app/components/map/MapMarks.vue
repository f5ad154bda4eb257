<script setup lang="ts">
import type * as Leaflet from 'leaflet'
import { sides, type Point, type Ring } from '#core/ground/plane'

/**
 * Marks on the plan: sample places with their numbers, crossings, the way walked so far, and the lengths of
 * an outline's sides.
 */
const props = defineProps<{
  samples?: readonly Point[]
  crossings?: readonly Point[]
  way?: readonly Point[]
  corners?: readonly Point[]
  measured?: Ring
}>()
const shown = useShown()
/** More labels than this hide the plan they explain. */
const MOST_SIDES = 60

useMapLayer((L, map, context) => {
  const {
    colours: { value: colours },
  } = context
  const text = (at: Point, words: string, kind: string) => planWords(L, context, at, words, kind)
  const dot = (at: Point, color: string, radius: number, fill = color) =>
    planDot(L, context, at, { color, radius, fill })
  const ring = props.measured ?? []
  // Beside the middle, where the handle for a new corner is.
  const beside = (i: number): Point => [
    ring[i]![0] * 0.68 + ring[(i + 1) % ring.length]![0] * 0.32,
    ring[i]![1] * 0.68 + ring[(i + 1) % ring.length]![1] * 0.32,
  ]
  const lengths =
    ring.length >= 3 && ring.length <= MOST_SIDES
      ? sides(ring)
          .map((length, i) => ({ at: beside(i), words: shown.distance(length) }))
          .map(({ at, words }) => text(at, `${words.figure} ${words.unit}`, 'side'))
      : []
  const layers: Leaflet.Layer[] = [
    ...(props.way && props.way.length > 1
      ? [
          L.polyline(viewRing(props.way, context), {
            color: colours.action,
            weight: 2.5,
            interactive: false,
            pmIgnore: true,
            snapIgnore: true,
          } as Leaflet.PolylineOptions),
        ]
      : []),
    ...(props.way?.length ? [dot(props.way.at(-1)!, colours.action, 7)] : []),
    ...(props.corners ?? []).map((at) => dot(at, colours.action, 5, colours.sheet)),
    ...(props.crossings ?? []).map((at) => dot(at, colours.stop, 9, 'transparent')),
    ...(props.samples ?? []).flatMap((at, i) => [
      dot(at, colours.dry, 3),
      text(at, `\u00A0\u00A0\u00A0\u00A0${i + 1}`, 'sample'),
    ]),
    ...lengths,
  ]
  layers.forEach((layer) => layer.addTo(map))
  return layers
})
</script>

<template>
  <slot />
</template>
