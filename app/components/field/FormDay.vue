<script setup lang="ts">
/** A calendar day of a form, bound by its path. */
defineProps<{ path: string; label: string; day: string }>()
const { set, locked } = useForm()
</script>

<template>
  <DayField :label="label" :day="day" :path="path" :locked="locked" @change="set(path, $event)" />
</template>
