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
const reader = computed(() => {
  const fields = fieldReader()
  return {
    scale: props.picture && readPictureScale(props.picture, 'picture', fields),
    problem: fields.problems.find(({ kind }) => kind === 'wrong')?.message,
  }
})

async function bring(file: File) {
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
    const kept = await tell<Picture>('PUT', `/attachments/${id}`, file, { 'content-type': file.type })
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
const PLACES = [
  ['turn', 'Turned, °', 360],
  ['x', 'East, m', 1e6],
  ['y', 'North, m', 1e6],
] as const
</script>

<template>
  <div class="space-y-2">
    <p class="flex flex-wrap items-center gap-2">
      <FilePick
        label="Picture of the site"
        :words="picture ? 'Another picture' : 'Choose a picture'"
        accept="image/png,image/jpeg"
        :color="picture ? 'neutral' : 'primary'"
        :variant="picture ? 'outline' : 'solid'"
        :loading="busy"
        @file="bring"
      />
      <UButton v-if="picture" label="Take it away" @click="emit('change', undefined)" />
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
      <LabelledField :label="`How clear, ${picture.opacity} %`">
        <USlider
          :min="10"
          :max="100"
          :step="5"
          :model-value="picture.opacity"
          @update:model-value="put({ opacity: Number($event) })"
        />
      </LabelledField>
      <div class="fields">
        <LabelledField v-for="[name, label, most] in PLACES" :key="name" :label="label">
          <UInputNumber
            :model-value="picture[name]"
            :min="-most"
            :max="most"
            :step="1"
            :format-options="{ maximumFractionDigits: 3, useGrouping: false }"
            @update:model-value="put({ [name]: $event ?? 0 })"
          />
        </LabelledField>
      </div>
      <p class="soft small">
        Then open an area, add an outline and draw it over the picture: it is kept as traced, with the
        picture’s scale.
      </p>
    </template>
  </div>
</template>

<style scoped>
.problem {
  color: var(--stop);
  font-weight: 600;
}
</style>
