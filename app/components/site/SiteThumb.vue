<script setup lang="ts">
import { readSiteMap } from '#core/ground/siteMap'
import { sketchLayout } from '#core/ground/sketchLayout'
import type { Area } from '#shared/schemas/ground'

/** A site as small as a row of a list, to scale, north up. */
const props = defineProps<{ areas: readonly Area[]; name: string; today: string }>()
const BOX = { width: 76, height: 46, edge: 2, label: 0 }
const layout = computed(() => sketchLayout(readSiteMap(props.areas, props.today).layout, BOX))
</script>

<template>
  <svg
    v-if="layout.shapes.length > 0"
    :width="BOX.width"
    :height="BOX.height"
    :viewBox="`0 0 ${BOX.width} ${BOX.height}`"
    role="img"
    :aria-label="`Plan of ${name}`"
  >
    <g :transform="`translate(0 ${(BOX.height - layout.height) / 2})`">
      <polygon v-for="(shape, i) in layout.shapes" :key="i" :points="shape.points" :class="shape.sign" />
    </g>
  </svg>
</template>

<style scoped>
svg {
  display: block;
}
polygon {
  stroke: var(--ink);
  stroke-width: 1;
}
.add {
  fill: var(--tint);
}
.subtract {
  fill: var(--paper);
}
</style>
