<script setup lang="ts">
import { plural } from '#core/quantity/counting'
import type { Anchor } from '#core/ground/geodesy'
import type { Ring } from '#core/ground/plane'
import { formatDeviation } from '#core/quantity/format'
import { MOST_CORNERS } from '#core/ground/areaShape'
import { TOLERANCES } from '~/composables/site/useGroundFile'

/** Outlines brought from a GeoJSON, KML or GPX file: read, looked at on the plan, chosen, smoothed, named. */
export interface BroughtOutline {
  readonly name: string
  readonly points: Ring
  readonly holes: readonly Ring[]
  readonly origin: string
}

const props = defineProps<{ anchor: Anchor | undefined; one: boolean; taking: string }>()
const emit = defineEmits<{
  preview: [rings: readonly Ring[]]
  take: [outlines: readonly BroughtOutline[], anchor: Anchor]
  stop: []
}>()
const shown = useShown()
const { file, problem, busy, chosen, tolerance, prepared, tooMany, open, cancel } = useGroundFile(
  () => props.anchor,
)
const names = reactive(new Map<number, string>())
const over = ref(false)
const WOBBLES = TOLERANCES.map((value) => ({ value, text: value === 0 ? 'none' : `${value} m` }))

watch(prepared, (now) =>
  emit(
    'preview',
    [...now.values()].flatMap(({ points, holes }) => [points, ...holes]),
  ),
)
onScopeDispose(() => emit('preview', []))
const nameOf = (index: number) =>
  names.get(index) ?? (file.value?.outlines[index]?.name || `Outline ${index + 1}`)
function choose(index: number, on: boolean) {
  if (props.one) chosen.value = on ? [index] : []
  else
    chosen.value = on
      ? [...chosen.value, index].toSorted((a, b) => a - b)
      : chosen.value.filter((one) => one !== index)
}
function drop(event: DragEvent) {
  over.value = false
  const source = event.dataTransfer?.files[0]
  if (source) void open(source)
}
function take() {
  const opened = file.value
  if (!opened) return
  emit(
    'take',
    chosen.value.flatMap((index) => {
      const one = prepared.value.get(index)
      if (!one) return []
      const fewer =
        one.points.length < one.cornersBefore
          ? `, ${one.cornersBefore} points smoothed to ${one.points.length} within ${tolerance.value} m`
          : ''
      return [
        {
          name: nameOf(index),
          points: one.points,
          holes: one.holes,
          origin: `${opened.name.slice(0, 80)}${fewer}`,
        },
      ]
    }),
    opened.anchor,
  )
}
</script>

<template>
  <section
    class="import"
    aria-label="From a file"
    :class="{ over }"
    @dragover.prevent="over = true"
    @dragleave="over = false"
    @drop.prevent="drop"
  >
    <p class="row">
      <FilePick
        label="File of outlines"
        words="Choose a file"
        accept=".geojson,.json,.kml,.gpx"
        variant="outline"
        @file="open"
      />
      <span class="soft small"
        >or drop it here: GeoJSON, KML or GPX, up to 10 MB and 200,000 points. Nothing leaves this machine
        until you take it.</span
      >
    </p>
    <p v-if="busy" role="status" class="small">
      Reading … <UButton variant="link" size="sm" @click="cancel">Cancel</UButton>
    </p>
    <p v-if="problem" class="problem small" role="alert">{{ problem }}</p>
    <template v-if="file">
      <p class="small">
        {{ file.kind }} file {{ file.name }}: {{ file.outlines.length }}
        {{ plural(file.outlines.length, 'outline')
        }}<template v-if="file.skipped > 0">; {{ file.skipped }} without an area left out</template>.
      </p>
      <ul>
        <li v-for="(outline, i) in file.outlines" :key="i" class="rule-b">
          <TickField
            :label="outline.name || `Outline ${i + 1}`"
            :ticked="chosen.includes(i)"
            @change="choose(i, $event)"
          >
            {{ outline.name || `Outline ${i + 1}` }}
            <span class="soft small block"
              >{{ outline.corners.toLocaleString('en') }} points{{
                outline.holes > 0 ? `, ${outline.holes} holes` : ''
              }}{{ outline.gap > 1 ? `; closed over ${Math.round(outline.gap)} m` : '' }}</span
            >
          </TickField>
          <FigureText :shown="shown.size(outline.areaM2)" />
          <p v-if="prepared.get(i) && chosen.includes(i)" class="soft small whole">
            <template v-if="prepared.get(i)!.corners < prepared.get(i)!.cornersBefore"
              >{{ prepared.get(i)!.corners.toLocaleString('en') }} corners kept; area changes by
              {{ formatDeviation(prepared.get(i)!.area / prepared.get(i)!.areaBefore - 1) }}.</template
            >
            <span v-if="prepared.get(i)!.crossed" class="astray">
              It crosses itself: smooth more, or mend it on the plan.</span
            >
          </p>
          <TextField
            v-if="!one && chosen.includes(i)"
            class="whole"
            bare
            :label="`Name of outline ${i + 1}`"
            :text="nameOf(i)"
            @change="names.set(i, $event)"
          />
        </li>
      </ul>
      <p class="row small">
        <ChoiceField
          label="Leave out wobbles under"
          :value="tolerance"
          :choices="WOBBLES"
          @change="tolerance = $event"
        />
      </p>
      <p v-if="tooMany" class="problem small" role="alert">
        More than {{ MOST_CORNERS.toLocaleString('en') }} corners are left: smooth more.
      </p>
      <p class="row">
        <UButton
          color="primary"
          variant="solid"
          :label="taking"
          :disabled="prepared.size === 0 || tooMany"
          @click="take"
        />
      </p>
    </template>
    <UButton variant="link" size="sm" @click="emit('stop')">Not now</UButton>
  </section>
</template>

<style scoped>
.import {
  padding: 8px 10px;
  border: var(--rule-width) dashed var(--rule-strong);
  background: var(--sheet);
}
.import.over {
  background: var(--action-tint);
}
.row {
  display: flex;
  flex-wrap: wrap;
  gap: 6px 12px;
  align-items: center;
  padding: 3px 0;
}
li {
  display: grid;
  grid-template-columns: 1fr auto;
  gap: 4px 8px;
  align-items: baseline;
  padding: 5px 0;
}
.whole {
  grid-column: 1 / -1;
}
.problem {
  color: var(--stop);
  font-weight: 600;
}
.astray {
  color: var(--warn);
  font-weight: 600;
}
</style>
