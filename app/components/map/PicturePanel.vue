<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import { readPictureScale, UNSCALED_M } from '#core/ground/pictureScale'
import { fieldReader } from '#core/quantity/fieldReader'
import { formatFigure } from '#core/quantity/format'
import { SYSTEM_UNITS } from '#core/quantity/systems'
import { LENGTH_UNITS } from '#core/quantity/units'
import type { MapPicture } from '#shared/schemas/ground'
import { LARGEST_PICTURE, PICTURE_TYPES, type Picture } from '#shared/schemas/picture'

/**
 * A picture of the site under its plan: brought, given a scale by two points and a distance, turned and made
 * as clear as wanted.
 */
const props = defineProps<{
  picture: MapPicture | undefined
  picking: boolean
  picks: readonly (readonly [number, number])[]
}>()
const emit = defineEmits<{ change: [picture: MapPicture | undefined]; pick: [] }>()
const crew = useCrewStore()
const problem = ref('')
const busy = ref(false)
const input = useTemplateRef('input')
const reader = computed(() => {
  const fields = fieldReader()
  return {
    scale: props.picture && readPictureScale(props.picture, 'picture', fields),
    problem: fields.problems.find(({ kind }) => kind === 'wrong')?.message,
  }
})

async function bring(file: File | undefined) {
  if (!file) return
  problem.value = ''
  if (file.size > LARGEST_PICTURE)
    problem.value =
      `This picture has ${(file.size / 1024 / 1024).toFixed(1)} MB; at most 10 MB are kept. Save it ` +
      'smaller.'
  else if (!PICTURE_TYPES.some((type) => type === file.type)) problem.value = 'Bring a PNG or JPEG picture.'
  if (problem.value) return
  busy.value = true
  try {
    const id = uuid()
    const kept = await $fetch<Picture>(crewUrl(`/attachments/${id}`), {
      method: 'PUT',
      body: file,
      headers: { 'content-type': file.type },
    })
    const high = (UNSCALED_M * kept.height) / kept.width
    emit('change', {
      id,
      width: kept.width,
      height: kept.height,
      x: -UNSCALED_M / 2,
      y: high / 2,
      turn: 0,
      opacity: 70,
      from: [0, 0],
      to: [0, 0],
      distance: { text: '', unit: SYSTEM_UNITS[crew.units].length },
    })
  } catch (error) {
    problem.value = errorText(error)
  } finally {
    busy.value = false
  }
}
const put = (fields: Partial<MapPicture>) => {
  if (props.picture) emit('change', { ...props.picture, ...fields })
}
const figure = (event: Event, least: number, most: number) =>
  Math.min(most, Math.max(least, Number((event.target as HTMLInputElement).value) || 0))
</script>

<template>
  <div class="space-y-2">
    <p class="flex flex-wrap items-center gap-2">
      <UButton
        :label="picture ? 'Another picture' : 'Choose a picture'"
        :color="picture ? 'neutral' : 'primary'"
        :variant="picture ? 'outline' : 'solid'"
        :loading="busy"
        @click="input?.click()"
      />
      <UButton v-if="picture" label="Take it away" @click="emit('change', undefined)" />
      <input
        ref="input"
        type="file"
        class="sr-only"
        accept="image/png,image/jpeg"
        aria-label="Picture of the site"
        tabindex="-1"
        @change="bring(($event.target as HTMLInputElement).files?.[0])"
      />
    </p>
    <p class="soft small">
      A photo from above or a scanned plan, PNG or JPEG up to 10 MB. It must show the ground straight from
      above: a slanted view can’t be to scale.
    </p>
    <p v-if="problem" class="problem small" role="alert">{{ problem }}</p>
    <template v-if="picture">
      <p class="small">
        Set its scale:
        <UButton
          size="sm"
          :label="picking ? `Press point ${picks.length + 1} on the plan …` : 'Press two points'"
          :color="picking ? 'primary' : 'neutral'"
          @click="emit('pick')"
        />
      </p>
      <QuantityField
        path="picture.distance"
        label="Taped distance between them"
        kind="length"
        :entered="picture.distance"
        :units="LENGTH_UNITS"
        :problem="reader.problem"
        @change="put({ distance: $event })"
      />
      <p v-if="reader.scale" class="small" role="status">
        One pixel is {{ formatFigure(reader.scale.metresPerPixel * 100) }} cm; lengths off it are good to
        {{ (200 * reader.scale.scale).toFixed(1) }} %, give or take.
      </p>
      <p v-else class="small soft">No scale yet: it is shown {{ UNSCALED_M }} m wide.</p>
      <label class="block"
        ><span class="soft small block">How clear, {{ picture.opacity }} %</span
        ><input
          type="range"
          class="range w-full"
          min="10"
          max="100"
          step="5"
          :value="picture.opacity"
          @input="put({ opacity: figure($event, 0, 100) })"
      /></label>
      <div class="grid grid-cols-3 gap-2">
        <label class="block"
          ><span class="soft small block">Turned, °</span
          ><input
            type="number"
            class="field"
            min="-360"
            max="360"
            step="1"
            :value="picture.turn"
            @change="put({ turn: figure($event, -360, 360) })"
        /></label>
        <label class="block"
          ><span class="soft small block">East, m</span
          ><input
            type="number"
            class="field"
            step="1"
            :value="picture.x"
            @change="put({ x: figure($event, -1e6, 1e6) })"
        /></label>
        <label class="block"
          ><span class="soft small block">North, m</span
          ><input
            type="number"
            class="field"
            step="1"
            :value="picture.y"
            @change="put({ y: figure($event, -1e6, 1e6) })"
        /></label>
      </div>
      <p class="soft small">
        Then open an area, add an outline and draw it over the picture: it is kept as traced, with the
        picture’s scale.
      </p>
    </template>
  </div>
</template>

<style scoped>
.range {
  accent-color: var(--action);
}
.problem {
  color: var(--stop);
  font-weight: 600;
}
</style>
