<script setup lang="ts">
import type { DropdownMenuItem } from '@nuxt/ui'
import { writeLanesGeoJson, writeLanesGpx } from '#core/lanes/files/writeLanes'
import type { SheetLanes } from '~/composables/job/useLanes'

/** Lanes taken along: lane by lane on a phone, on paper, as files for a map program. */
const props = defineProps<{ worked: SheetLanes }>()
const library = useLibraryStore()
const notice = useNotice()
const route = useRoute()
const place = (name: string) => ({
  path: `/jobs/${String(route.params.id)}/${name}`,
  query: { a: route.query.a },
})
const FORMATS = {
  geojson: { write: writeLanesGeoJson, type: 'application/geo+json' },
  gpx: { write: writeLanesGpx, type: 'application/gpx+xml' },
} as const
function save(format: keyof typeof FORMATS) {
  const { anchor } = library
  if (!anchor)
    return notice.say(
      'No file was written.',
      'Anchor the plan of the site first: its place on the earth is not known.',
    )
  const located = props.worked.lanes.lawns.filter(({ id }) =>
    props.worked.layout.shapes.every(
      ({ lawnId, place: schematic }) => lawnId !== id || schematic === undefined,
    ),
  )
  if (located.length === 0)
    return notice.say(
      'No file was written.',
      'These lawns are known only by their dimensions: draw or walk one.',
    )
  const { write, type } = FORMATS[format]
  saveFile(`lanes.${format}`, write(located, anchor), type)
}
const items = computed((): DropdownMenuItem[][] => [
  [
    { label: 'Lane sheet on paper', icon: 'i-lucide-printer', to: place('lane-sheet') },
    { label: 'Stripes seen afterwards', icon: 'i-lucide-search', to: place('stripes') },
  ],
  [
    { label: 'Lanes as GeoJSON', icon: 'i-lucide-download', onSelect: () => save('geojson') },
    { label: 'Lanes as GPX', icon: 'i-lucide-download', onSelect: () => save('gpx') },
  ],
])
</script>

<template>
  <div class="flex flex-wrap items-center gap-2">
    <UButton size="sm" label="Lane by lane" icon="i-lucide-footprints" :to="place('lanes')" />
    <UButton size="sm" label="What the ground gets" icon="i-lucide-grid-3x3" :to="place('coverage')" />
    <UDropdownMenu :items="items">
      <UButton size="sm" icon="i-lucide-ellipsis" aria-label="More with these lanes" />
    </UDropdownMenu>
  </div>
</template>
