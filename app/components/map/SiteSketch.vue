<script setup lang="ts">
import type { GroundPart } from '#core/ground/groundPart'
import { siteLayout } from '#core/ground/siteLayout'
import type { Place, Point } from '#core/ground/plane'
import { sketchLayout, type SketchLayout } from '#core/ground/sketchLayout'

/**
 * Ground drawn to scale; what is known only by its dimensions has no place of its own, and the caption says
 * so.
 */
const props = defineProps<{
  lawns: readonly {
    readonly id: string
    readonly name: string
    readonly parts: readonly GroundPart[]
    readonly places: ReadonlyMap<string, Place>
  }[]
  method?: 'spread' | 'spray'
  width?: number
  height?: number
  /** Places marked on it. */
  marks?: readonly Point[]
}>()
const box = computed(() => ({ width: props.width ?? 365, height: props.height ?? 185 }))
/** Drawn again only when the lawns themselves have changed, not with every figure. */
let drawnFrom: unknown
const layout = computed<SketchLayout>((before) => {
  if (before && drawnFrom === props.lawns) return before
  drawnFrom = props.lawns
  return sketchLayout(siteLayout(props.lawns), box.value, props.marks)
})
const schematic = computed(() =>
  props.lawns.some(({ parts }) => parts.some(({ seat }) => seat === 'schematic')),
)
const patternId = useId()
</script>

<template>
  <figure
    v-if="layout.shapes.length > 0"
    class="sketch"
    :class="method ?? 'plain'"
    :style="{ maxWidth: `${box.width + 15}px` }"
  >
    <svg
      :viewBox="`0 0 ${box.width} ${layout.height}`"
      role="img"
      :aria-label="`Sketch to scale of ${layout.labels.map(({ text }) => text).join(', ')}`"
    >
      <defs>
        <pattern
          :id="patternId"
          width="7"
          height="7"
          patternUnits="userSpaceOnUse"
          patternTransform="rotate(4)"
        >
          <line x1="3.5" y1="0" x2="3.5" y2="7" class="lane" />
        </pattern>
      </defs>
      <g
        v-for="(shape, i) in layout.shapes"
        :key="i"
        :class="shape.sign"
        :fill="shape.sign === 'add' ? `url(#${patternId})` : undefined"
      >
        <polygon :points="shape.points" />
      </g>
      <circle v-for="(mark, i) in layout.marks" :key="`mark ${i}`" :cx="mark.x" :cy="mark.y" r="4" />
      <text v-for="label in layout.labels" :key="label.text" :x="label.x" :y="label.y" text-anchor="middle">
        {{ label.text }}
      </text>
    </svg>
    <figcaption class="soft small">
      {{
        schematic ? 'To scale from its dimensions; position and angles are schematic.' : 'To scale, north up.'
      }}
    </figcaption>
  </figure>
</template>

<style scoped>
.sketch {
  border: var(--rule-width) solid var(--rule);
  background: var(--sheet);
  padding: 6px;
  width: 100%;
}
svg {
  display: block;
  width: 100%;
}
.add polygon {
  stroke: var(--ink);
  stroke-width: 1.4;
}
.subtract polygon {
  fill: var(--sheet);
  stroke: var(--ink);
  stroke-width: 1;
}
.lane {
  stroke: var(--wet);
  stroke-width: 1.2;
}
.spread .lane {
  stroke: var(--dry);
  stroke-dasharray: 3 2;
}
.plain .lane {
  stroke: var(--rule-strong);
}
circle {
  fill: var(--action);
  stroke: var(--sheet);
}
text {
  font-family: var(--font-sans);
  font-size: 12px;
  fill: var(--ink);
}
</style>
