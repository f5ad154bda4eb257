<script setup lang="ts">
import type * as Leaflet from 'leaflet'
import type { Bounds } from '#core/ground/plane'

/**
 * A plan to scale, north up: zoom, pan, a scale bar and a grid; what lies on it comes from the layers in its
 * slot.
 */
const props = defineProps<{ bounds: Bounds | undefined; bearing?: number; label: string; tall?: string }>()
const emit = defineEmits<{ click: [at: readonly [number, number]] }>()
const crew = useCrewStore()
const box = useTemplateRef('box')
const context = provideSiteMap(() => props.bearing ?? 0)
const { map, leaflet, toView, fromView, colours } = context
const SMALLEST: Bounds = { minX: -20, minY: -15, maxX: 20, maxY: 15 }

let moved = false
function fit() {
  const { minX, minY, maxX, maxY } = props.bounds ?? SMALLEST
  const corners = [
    [minX, minY],
    [maxX, minY],
    [maxX, maxY],
    [minX, maxY],
  ] as const
  map.value?.fitBounds(
    corners.map((corner) => toView(corner)),
    { paddingTopLeft: [54, 22], paddingBottomRight: [24, 40], animate: false, maxZoom: 6 },
  )
}

/** Lines a round distance apart, so many that they stand 40 to 100 pixels from each other. */
function gridOf(L: typeof Leaflet): Leaflet.GridLayer {
  const unit = crew.units.startsWith('metric') ? 1 : 0.3048
  const Grid = L.GridLayer.extend({
    createTile(this: Leaflet.GridLayer, { x, y, z }: Leaflet.Coords) {
      const tile = document.createElement('canvas')
      const { x: width, y: height } = this.getTileSize()
      Object.assign(tile, { width, height })
      const pen = tile.getContext('2d')
      const scale = 2 ** z
      const step = [1, 2, 5, 10, 20, 50, 100, 200, 500, 1000, 2000]
        .map((round) => round * unit)
        .find((metres) => metres * scale >= 40)
      if (!pen || !step) return tile
      pen.strokeStyle = colours.value.tint
      // Tiles are shown at half to twice their scale: a thinner line would drop out.
      pen.lineWidth = 1.5
      pen.beginPath()
      for (let at = Math.ceil((x * width) / scale / step) * step; at * scale < (x + 1) * width; at += step) {
        pen.moveTo(Math.floor(at * scale - x * width) + 0.5, 0)
        pen.lineTo(Math.floor(at * scale - x * width) + 0.5, height)
      }
      for (
        let at = Math.ceil((y * height) / scale / step) * step;
        at * scale < (y + 1) * height;
        at += step
      ) {
        pen.moveTo(0, Math.floor(at * scale - y * height) + 0.5)
        pen.lineTo(width, Math.floor(at * scale - y * height) + 0.5)
      }
      pen.stroke()
      return tile
    },
  }) as unknown as new (options: Leaflet.GridLayerOptions) => Leaflet.GridLayer
  return new Grid({ pane: 'tilePane', updateWhenZooming: false, noWrap: true })
}

onMounted(async () => {
  const L = await loadLeaflet()
  if (!box.value) return
  const made = L.map(box.value, {
    crs: L.CRS.Simple,
    preferCanvas: true,
    minZoom: -5,
    maxZoom: 8,
    zoomSnap: 0.25,
    zoomDelta: 0.5,
    attributionControl: false,
    zoomAnimation: false,
    fadeAnimation: false,
    pmIgnore: false,
  } as Leaflet.MapOptions)
  leaflet.value = L
  L.control.scale({ metric: true, imperial: true, position: 'bottomright' }).addTo(made)
  made.on('click', ({ latlng }: Leaflet.LeafletMouseEvent) => emit('click', fromView(latlng)))
  map.value = made
  fit()
  let grid = gridOf(L).addTo(made)
  watch([colours, () => crew.units], () => {
    grid.remove()
    grid = gridOf(L).addTo(made)
  })
  // Until somebody moves the view, all of the ground stays in it.
  const seen = new ResizeObserver(() => {
    made.invalidateSize({ pan: false })
    if (!moved) fit()
  })
  made.on('dragstart', () => {
    moved = true
  })
  box.value.addEventListener(
    'wheel',
    () => {
      moved = true
    },
    { passive: true },
  )
  seen.observe(box.value)
  onBeforeUnmount(() => {
    seen.disconnect()
    map.value = undefined
    made.remove()
  })
})
function showAll() {
  moved = false
  fit()
}
// The first ground to appear is brought into view; after that the view is the user's.
watch(() => props.bounds === undefined, fit)
watch(() => props.bearing, fit)
/** Where the middle of the view lies on the plan. */
const middle = () => map.value && fromView(map.value.getCenter())
defineExpose({ fit, middle })
</script>

<template>
  <section class="plan" :aria-label="label">
    <div
      ref="box"
      class="canvas"
      :style="{ height: tall ?? '360px' }"
      tabindex="0"
      :aria-label="`${label}: arrow keys move it, plus and minus zoom`"
      role="application"
    />
    <div class="north" aria-hidden="true">
      <svg viewBox="0 0 20 34" width="16" height="28">
        <path d="M10 2 L15 14 L10 11 L5 14 Z" fill="currentColor" />
        <text x="10" y="31" text-anchor="middle" font-size="14" fill="currentColor">N</text>
      </svg>
    </div>
    <UButton variant="link" size="sm" class="whole" @click="showAll">Show all</UButton>
    <slot />
  </section>
</template>

<style scoped>
.plan {
  position: relative;
  isolation: isolate;
  border: var(--rule-width) solid var(--rule-strong);
  background: var(--sheet);
}
.canvas {
  width: 100%;
  background: var(--sheet);
  font-family: var(--font-sans);
}
.plan :deep(canvas.leaflet-tile) {
  image-rendering: auto;
}
.north {
  position: absolute;
  top: 8px;
  right: 10px;
  z-index: 500;
  pointer-events: none;
}
.whole {
  position: absolute;
  bottom: 4px;
  left: 8px;
  z-index: 500;
  background: var(--sheet);
  padding: 0 6px;
}
.plan :deep(.leaflet-bar a) {
  background: var(--sheet);
  color: var(--ink);
  border-color: var(--rule-strong);
  width: 34px;
  height: 34px;
  line-height: 34px;
}
.plan :deep(.leaflet-bar) {
  border: var(--rule-width) solid var(--rule-strong);
  border-radius: 3px;
  box-shadow: none;
}
.plan :deep(.leaflet-control-scale-line) {
  background: var(--sheet);
  color: var(--ink);
  border-color: var(--ink);
  text-shadow: none;
  font-size: 12px;
}
.plan :deep(.marker-icon) {
  background: var(--sheet);
  border: 2px solid var(--action);
  box-shadow: none;
}
.plan :deep(.marker-icon-middle) {
  opacity: 0.75;
  border-color: var(--field-rule);
}
.plan :deep(.turn-handle) {
  border-radius: 50%;
  border: 2.5px solid var(--action);
  background: var(--sheet);
  cursor: grab;
}
.plan :deep(.leaflet-tooltip-pane) {
  display: none;
}
.plan :deep(.plan-label) {
  color: var(--ink);
  text-align: center;
  white-space: nowrap;
  font-size: 13px;
  line-height: 1.2;
  -webkit-text-stroke: 4px var(--sheet);
  paint-order: stroke fill;
  width: auto !important;
  transform-origin: center;
}
.plan :deep(.plan-label > span) {
  display: inline-block;
  transform: translate(-50%, -50%);
}
.plan :deep(.plan-label.side) {
  font-size: 12px;
  color: var(--soft);
  font-variant-numeric: tabular-nums;
}
.plan :deep(.plan-label.sample) {
  font-size: 12px;
  font-weight: 700;
  color: var(--dry);
}
@media (pointer: coarse) {
  .plan :deep(.leaflet-bar a) {
    width: 44px;
    height: 44px;
    line-height: 44px;
  }
}
</style>
