<script setup lang="ts">
/** The crew's button with what it opens. */
const emit = defineEmits<{ find: []; keys: []; newCrew: [] }>()
const open = defineModel<boolean>('open', { required: true })
</script>

<template>
  <UPopover v-model:open="open" :content="{ side: 'top', align: 'start' }">
    <CrewButton />
    <template #content>
      <CrewPanel
        class="w-72 p-4"
        @find="emit('find')"
        @keys="emit('keys')"
        @new-crew="emit('newCrew')"
        @done="open = false"
      />
    </template>
  </UPopover>
</template>
