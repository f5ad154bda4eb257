<script setup lang="ts">
import type * as Leaflet from 'leaflet'
import type { Ring } from '#core/ground/plane'

/**
 * The outline in hand on the plan: corners drawn, dragged, added and taken away, snapping to what lies near.
 * Every change has a typed equal in the corner table.
 */
const props = defineProps<{ points: Ring; drawing: boolean; sign: 'add' | 'subtract' }>()
const emit = defineEmits<{ change: [points: Ring]; live: [points: Ring | undefined]; drawn: [] }>()
const context = useSiteMapContext()
const { map, leaflet, fromView, colours } = context
/** Corners shown as handles at a time: those nearest the pointer. More would be slow and hide the line. */
const HANDLES = 60

let polygon: Leaflet.Polygon | undefined
/** What this editor said last; it is not drawn again when it comes back. */
let said: Ring | undefined
const ringOf = (layer: Leaflet.Polygon): Ring => (layer.getLatLngs()[0] as Leaflet.LatLng[]).map(fromView)
const say = (points: Ring) => {
  said = points
  emit('live', undefined)
  emit('change', points)
}

function edit(L: typeof Leaflet, on: Leaflet.Map) {
  polygon?.remove()
  polygon = undefined
  if (props.points.length < 3) return
  polygon = L.polygon(viewRing(props.points, context), {
    color: colours.value.action,
    weight: 2.5,
    fillColor: props.sign === 'add' ? colours.value['wet-tint'] : colours.value.sheet,
    fillOpacity: 0.3,
    smoothFactor: 0.5,
  }).addTo(on)
  const layer = polygon
  layer.pm.enable({
    snappable: true,
    snapDistance: 14,
    allowSelfIntersection: true,
    removeLayerBelowMinVertexCount: false,
    limitMarkersToCount: HANDLES,
    preventMarkerRemoval: layer.getLatLngs().flat().length <= 3,
  })
  layer.on('pm:markerdrag', () => emit('live', ringOf(layer)))
  layer.on('pm:markerdragend pm:vertexadded pm:vertexremoved', () => say(ringOf(layer)))
}

function draw(L: typeof Leaflet, on: Leaflet.Map) {
  on.pm.setLang('en')
  on.pm.enableDraw('Polygon', {
    snappable: true,
    snapDistance: 14,
    tooltips: false,
    allowSelfIntersection: true,
    finishOn: 'dblclick',
    templineStyle: { color: colours.value.action },
    hintlineStyle: { color: colours.value.action, dashArray: [5, 5] },
    pathOptions: { color: colours.value.action },
  })
  on.once('pm:create', ({ layer }: { layer: Leaflet.Layer }) => {
    const points = ringOf(layer as Leaflet.Polygon)
    layer.remove()
    say(points)
    said = undefined
    emit('drawn')
  })
}

watch(
  [map, () => props.drawing, () => props.points, () => props.sign],
  ([on]) => {
    const L = leaflet.value
    if (!on || !L) return
    if (props.drawing) {
      polygon?.remove()
      polygon = undefined
      if (!on.pm.globalDrawModeEnabled()) draw(L, on)
      return
    }
    on.pm.disableDraw()
    if (props.points !== said || !polygon) edit(L, on)
  },
  { immediate: true },
)
onScopeDispose(() => {
  map.value?.pm.disableDraw()
  map.value?.off('pm:create')
  polygon?.remove()
})
</script>

<template>
  <slot />
</template>
