<script setup lang="ts">
/**
 * Takes one of a list of the form away; which one is said to whoever can't see it. Not there where the form
 * is locked.
 */
const props = defineProps<{
  path: string
  list: readonly { readonly id: string }[]
  id: string
  what: string
}>()
const { set, locked } = useForm()
const remove = () =>
  set(
    props.path,
    props.list.filter(({ id }) => id !== props.id),
  )
</script>

<template>
  <UButton v-if="!locked" variant="link" size="sm" @click="remove">
    Remove<span class="sr-only"> {{ what }}</span>
  </UButton>
</template>
