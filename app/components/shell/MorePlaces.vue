<script setup lang="ts">
/** On a phone: the places the thumb bar has no room for, and whose data this is. */
const emit = defineEmits<{ find: []; keys: []; newCrew: [] }>()
const open = defineModel<boolean>('open', { required: true })
</script>

<template>
  <USlideover v-model:open="open" side="bottom" title="More" description="Other places, crew, units, theme">
    <template #body>
      <div class="mb-3 grid gap-1">
        <UButton
          v-for="{ name, to, icon } in MORE_PLACES"
          :key="to"
          variant="ghost"
          :icon="icon"
          :label="name"
          :to="to"
        />
      </div>
      <CrewPanel @find="emit('find')" @keys="emit('keys')" @new-crew="emit('newCrew')" @done="open = false" />
    </template>
  </USlideover>
</template>
