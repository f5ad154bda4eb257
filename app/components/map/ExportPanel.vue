<script setup lang="ts">
import { plural } from '#core/quantity/counting'
import type { MappedArea } from '#core/ground/siteMap'

/** The plan as files of open formats. Map programs need a position; the table does not. */
const props = defineProps<{ siteId: string; areas: readonly MappedArea[]; anchored: boolean }>()
const emit = defineEmits<{ anchor: [] }>()
const located = computed(() => props.areas.filter((area) => (area.outlines?.net.length ?? 0) > 0))
const left = computed(() => props.areas.length - located.value.length)
const FORMATS = [
  ['geojson', 'GeoJSON'],
  ['kml', 'KML'],
  ['gpx', 'GPX'],
] as const
</script>

<template>
  <div class="space-y-2">
    <template v-if="anchored && located.length > 0">
      <p class="small">
        {{ located.length }} {{ plural(located.length, 'area') }} with their sample places{{
          left > 0 ? `; ${left} known only by dimensions ${left === 1 ? 'is' : 'are'} left out` : ''
        }}.
      </p>
      <p class="flex flex-wrap gap-x-5">
        <a
          v-for="[format, name] in FORMATS"
          :key="format"
          class="way-out"
          :href="crewUrl(`/sites/${siteId}/export?format=${format}`)"
          download
          >{{ name }}</a
        >
      </p>
    </template>
    <p v-else-if="!anchored" class="small">
      Map files need to know where the plan lies.
      <UButton variant="link" size="sm" @click="emit('anchor')">Anchor the plan</UButton>
    </p>
    <p v-else class="small soft">
      No area is drawn, walked, traced or imported yet: those known only by their dimensions have no position
      to export.
    </p>
    <p>
      <a class="way-out" :href="crewUrl(`/sites/${siteId}/export?format=csv`)" download
        >Table of all areas (CSV)</a
      >
    </p>
  </div>
</template>
