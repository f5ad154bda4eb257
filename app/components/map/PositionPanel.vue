<script setup lang="ts">
import type { Anchor } from '#core/ground/geodesy'

/** Where the plan's zero lies on the earth and how its upward edge is turned: what map programs need. */
const props = defineProps<{ anchor: Anchor | undefined }>()
const emit = defineEmits<{ anchor: [anchor: Anchor | undefined] }>()
const lat = ref(props.anchor ? String(props.anchor.lat) : '')
const lon = ref(props.anchor ? String(props.anchor.lon) : '')
const bearing = ref(String(props.anchor?.bearing ?? 0))
const problem = ref('')

function save() {
  const [north, east, turn] = [lat.value, lon.value, bearing.value].map((text) =>
    text.trim() === '' ? Number.NaN : Number(text.replace('−', '-').replace('°', '')),
  )
  if (!(Math.abs(north!) <= 89.9))
    problem.value = 'Latitude is a number from -89.9 to 89.9, north positive: 39.0213.'
  else if (!(Math.abs(east!) <= 180))
    problem.value = 'Longitude is a number from -180 to 180, east positive: -76.4107.'
  else if (!(Math.abs(turn!) <= 360))
    problem.value = 'The bearing is a number of degrees clockwise from north.'
  else {
    problem.value = ''
    emit('anchor', { lat: north!, lon: east!, bearing: turn! })
  }
}
function here() {
  if (!window.isSecureContext || !('geolocation' in navigator)) {
    problem.value = 'This browser tells positions only over https; type them instead.'
    return
  }
  navigator.geolocation.getCurrentPosition(
    ({ coords }) => {
      lat.value = coords.latitude.toFixed(6)
      lon.value = coords.longitude.toFixed(6)
      save()
    },
    () => {
      problem.value = 'No position right now; type it instead.'
    },
    { enableHighAccuracy: true, timeout: 20_000 },
  )
}
</script>

<template>
  <form class="space-y-2" @submit.prevent="save">
    <p class="small">The plan’s zero (0 m east, 0 m north) lies at:</p>
    <div class="flex gap-2">
      <TextField
        class="flex-1"
        label="Latitude, °"
        :text="lat"
        placeholder="39.0213"
        @change="lat = $event"
      />
      <TextField
        class="flex-1"
        label="Longitude, °"
        :text="lon"
        placeholder="-76.4107"
        @change="lon = $event"
      />
    </div>
    <TextField
      label="The plan’s upward edge points to, ° from north"
      :text="bearing"
      @change="bearing = $event"
    />
    <p v-if="problem" class="problem small" role="alert">{{ problem }}</p>
    <p class="flex flex-wrap gap-2">
      <UButton type="submit" color="primary" variant="solid" label="Anchor the plan" /><UButton
        label="I stand at its zero"
        @click="here"
      />
    </p>
    <p class="soft small">
      A walked or imported outline anchors a plan by itself. Sizes do not depend on it.
    </p>
  </form>
</template>

<style scoped>
.problem {
  color: var(--stop);
  font-weight: 600;
}
</style>
