<script setup lang="ts">
import type * as Leaflet from 'leaflet'
import type { Lane } from '#core/lanes/plan/lanePlan'
import type { LaneStop } from '#core/lanes/lawns/laneStops'
import type { LawnLanes } from '#core/lanes/lawns/workOutLanes'
import type { Point } from '#core/ground/plane'

/** Lanes on the plan with their numbers, where one stops, and the lane in hand. */
const props = defineProps<{
  lawns: readonly LawnLanes[]
  stops: readonly LaneStop[]
  /** Pass that is shown, from 1; 0: all of them. */
  pass: number
  method: 'spread' | 'spray'
  inHand?: { readonly lawnId: string; readonly lane: number }
}>()

/** So many numbers can be told apart on a plan. */
const MOST_NUMBERS = 36

useMapLayer((L, map, context) => {
  const {
    toView,
    colours: { value: colours },
  } = context
  const still = { interactive: false, pmIgnore: true, snapIgnore: true } as Leaflet.PolylineOptions
  const own = props.method === 'spread' ? colours.dry : colours.wet
  const line = (lane: Lane, later: boolean, faint: boolean) =>
    L.polyline(lane.line.map(toView), {
      ...still,
      color: lane.header ? colours.soft : own,
      weight: lane.header ? 1.6 : 1.8,
      opacity: faint ? 0.3 : 1,
      ...(later && { dashArray: '5 4' }),
    })
  const words = (at: Point, text: string, kind: string) => planWords(L, context, at, text, kind)
  const layers: Leaflet.Layer[] = []
  for (const { id, plan, keptOut } of props.lawns) {
    for (const rings of keptOut?.ground ?? [])
      layers.push(
        L.polygon(
          rings.map((ring) => ring.map(toView)),
          { ...still, color: colours.wet, weight: 1, dashArray: '2 3', fillColor: colours['wet-tint'] },
        ),
      )
    const hand = props.inHand?.lawnId === id ? props.inHand.lane : undefined
    for (const [i, { lanes }] of (plan?.passes ?? []).entries()) {
      if (props.pass !== 0 && props.pass !== i + 1) continue
      const every = Math.ceil(lanes.length / MOST_NUMBERS)
      for (const [n, lane] of lanes.entries()) {
        layers.push(line(lane, i % 2 === 1, hand !== undefined && lane.number !== hand))
        const [begin] = lane.line
        if (begin && (n % every === 0 || n === lanes.length - 1) && hand === undefined)
          layers.push(words(begin, String(lane.number), 'lane-number'))
        if (lane.number !== hand || !begin) continue
        layers.push(
          L.polyline(lane.line.map(toView), { ...still, color: colours.action, weight: 6 }),
          planDot(L, context, begin, { color: colours.action, radius: 9, fill: colours.sheet }),
          words(lane.line.at(-1) ?? begin, '►', 'lane-end'),
        )
      }
    }
  }
  for (const { at, pass, fill, afterLane } of props.stops) {
    if ((props.pass !== 0 && props.pass !== pass) || props.inHand) continue
    layers.push(
      L.marker(toView(at), {
        ...still,
        icon: L.divIcon({
          className: fill === undefined ? 'lane-stop' : 'lane-stop fills',
          html: Object.assign(document.createElement('span'), { textContent: String(afterLane) }),
          iconSize: [22, 18],
        }),
        keyboard: false,
      } as Leaflet.MarkerOptions),
    )
  }
  layers.forEach((layer) => layer.addTo(map))
  return layers
})
</script>

<template>
  <slot />
</template>
