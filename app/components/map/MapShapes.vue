<script setup lang="ts">
import type * as Leaflet from 'leaflet'
import type { Point, Ring } from '#core/ground/plane'

/** Pieces of ground on the plan: lawn, what is taken away, what is only schematic, what lies astray. */
export interface DrawnShape {
  readonly key: string
  readonly rings: readonly Ring[]
  readonly sign: 'add' | 'subtract'
  readonly tone: 'own' | 'other' | 'astray'
  /** Only its line is drawn: something is painted below it. */
  readonly bare?: boolean
  /** Its place is not known: drawn with a broken line. */
  readonly schematic: boolean
}
export interface DrawnLabel {
  readonly key: string
  readonly at: Point
  readonly words: string
  readonly below?: string
}

const props = defineProps<{
  shapes: readonly DrawnShape[]
  labels?: readonly DrawnLabel[]
  ignoreSnap?: string
}>()
const emit = defineEmits<{ pick: [key: string] }>()

useMapLayer((L, map, context) => {
  const {
    colours: { value: colours },
  } = context
  const styleOf = ({ sign, tone, schematic, bare }: DrawnShape): Leaflet.PolylineOptions => ({
    color: tone === 'astray' ? colours.stop : tone === 'own' ? colours.ink : colours.soft,
    weight: tone === 'own' ? 1.8 : 1.2,
    ...(schematic && { dashArray: '6 4' }),
    fill: !bare,
    fillColor:
      sign === 'subtract'
        ? tone === 'astray'
          ? colours.stop
          : colours.sheet
        : tone === 'own'
          ? colours['wet-tint']
          : colours.tint,
    fillOpacity: tone === 'astray' ? 0.35 : sign === 'subtract' ? 0.92 : 0.75,
  })
  const pieces = props.shapes.flatMap((shape) =>
    shape.rings.map((ring) => {
      const polygon = L.polygon(viewRing(ring, context), {
        ...styleOf(shape),
        pmIgnore: true,
        snapIgnore: shape.key === props.ignoreSnap,
        bubblingMouseEvents: true,
        smoothFactor: 0.5,
      } as Leaflet.PolylineOptions)
      return polygon.on('click', () => emit('pick', shape.key)).addTo(map)
    }),
  )
  const labels = (props.labels ?? []).map(({ at, words, below }) => {
    const element = document.createElement('span')
    element.textContent = words
    if (below) {
      element.append(
        document.createElement('br'),
        Object.assign(document.createElement('strong'), { textContent: below }),
      )
    }
    return L.marker(context.toView(at), {
      icon: L.divIcon({ className: 'plan-label', html: element, iconSize: [0, 0] }),
      interactive: false,
      keyboard: false,
      pmIgnore: true,
      snapIgnore: true,
    } as Leaflet.MarkerOptions).addTo(map)
  })
  return [...pieces, ...labels]
})
</script>

<template>
  <slot />
</template>
