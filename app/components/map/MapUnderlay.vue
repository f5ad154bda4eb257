<script setup lang="ts">
import type * as Leaflet from 'leaflet'
import { fieldReader } from '#core/quantity/fieldReader'
import { readPictureScale, UNSCALED_M } from '#core/ground/pictureScale'
import { placed } from '#core/ground/plane'
import type { MapPicture } from '#shared/schemas/ground'

/**
 * The site's picture under its plan, to scale, turned and as clear as wanted; before it has a scale it is
 * shown a hundred metres wide.
 */
const props = defineProps<{ picture: MapPicture; picks?: readonly (readonly [number, number])[] }>()

useMapLayer((L, map, context) => {
  const { id, width, height, x, y, turn, opacity } = props.picture
  const scale = readPictureScale(props.picture, '', fieldReader())?.metresPerPixel ?? UNSCALED_M / width
  const at = (px: number, py: number) =>
    context.toView(placed([[px * scale, -py * scale]], { x, y, turn })[0]!)
  const corners = [at(0, 0), at(width, 0), at(width, height), at(0, height)]
  const box = L.latLngBounds(corners)
  const svg = document.createElementNS('http://www.w3.org/2000/svg', 'svg')
  const [west, south, east, north] = [box.getWest(), box.getSouth(), box.getEast(), box.getNorth()]
  svg.setAttribute('viewBox', `0 0 ${east - west} ${north - south}`)
  const image = document.createElementNS('http://www.w3.org/2000/svg', 'image')
  const [[lat, lng], [rightLat, rightLng]] = [corners[0]!, corners[1]!]
  const angle = (Math.atan2(lat - rightLat, rightLng - lng) * 180) / Math.PI
  for (const [name, value] of Object.entries({
    href: crewUrl(`/attachments/${id}`),
    width: width * scale,
    height: height * scale,
    preserveAspectRatio: 'none',
    transform: `translate(${lng - west} ${north - lat}) rotate(${angle})`,
  }))
    image.setAttribute(name, String(value))
  svg.append(image)
  const dots = (props.picks ?? []).map(([px, py]) =>
    L.circleMarker(at(px, py), {
      radius: 7,
      color: context.colours.value.action,
      weight: 2.5,
      fillColor: context.colours.value.sheet,
      fillOpacity: 0.4,
      interactive: false,
      pmIgnore: true,
      snapIgnore: true,
    } as Leaflet.CircleMarkerOptions).addTo(map),
  )
  return [
    L.svgOverlay(svg, box, {
      opacity: opacity / 100,
      interactive: false,
      className: 'underlay',
      pane: 'tilePane',
      zIndex: 2,
    } as Leaflet.ImageOverlayOptions).addTo(map),
    ...dots,
  ]
})
</script>

<template>
  <slot />
</template>
