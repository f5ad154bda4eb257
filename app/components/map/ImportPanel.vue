<script setup lang="ts">
import { plural } from '#core/quantity/counting'
import type { Anchor } from '#core/ground/geodesy'
import type { Ring } from '#core/ground/plane'
import { formatDeviation } from '#core/quantity/format'
import { MOST_CORNERS } from '#shared/schemas/ground'
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
const input = useTemplateRef('input')

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
  if (props.one) chosen.value = [index]
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
      <UButton label="Choose a file" @click="input?.click()" />
      <span class="soft small"
        >or drop it here: GeoJSON, KML or GPX, up to 10 MB and 200,000 points. Nothing leaves this machine
        until you take it.</span
      >
      <input
        ref="input"
        type="file"
        class="sr-only"
        accept=".geojson,.json,.kml,.gpx"
        aria-label="File of outlines"
        tabindex="-1"
        @change="
          ($event.target as HTMLInputElement).files?.[0] &&
          open(($event.target as HTMLInputElement).files![0]!)
        "
      />
    </p>
    <p v-if="busy" role="status" class="small">
      Reading … <button type="button" class="plain-button way-out" @click="cancel">Cancel</button>
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
          <input
            :id="`ring-${i}`"
            :type="one ? 'radio' : 'checkbox'"
            name="ring"
            :checked="chosen.includes(i)"
            @change="choose(i, ($event.target as HTMLInputElement).checked)"
          />
          <label :for="`ring-${i}`" class="min-w-0">
            {{ outline.name || `Outline ${i + 1}` }}
            <span class="soft small block"
              >{{ outline.corners.toLocaleString('en') }} points{{
                outline.holes > 0 ? `, ${outline.holes} holes` : ''
              }}{{ outline.gap > 1 ? `; closed over ${Math.round(outline.gap)} m` : '' }}</span
            >
          </label>
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
          <input
            v-if="!one && chosen.includes(i)"
            class="field whole"
            :value="nameOf(i)"
            :aria-label="`Name of outline ${i + 1}`"
            maxlength="200"
            @input="names.set(i, ($event.target as HTMLInputElement).value)"
          />
        </li>
      </ul>
      <p class="row small">
        <label
          >Leave out wobbles under
          <select v-model.number="tolerance" class="field short">
            <option v-for="one_ in TOLERANCES" :key="one_" :value="one_">
              {{ one_ === 0 ? 'none' : `${one_} m` }}
            </option>
          </select></label
        >
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
    <button type="button" class="plain-button way-out small" @click="emit('stop')">Not now</button>
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
  grid-template-columns: 20px 1fr auto;
  gap: 4px 8px;
  align-items: baseline;
  padding: 5px 0;
}
.whole {
  grid-column: 2 / -1;
}
.short {
  width: auto;
  display: inline-block;
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
