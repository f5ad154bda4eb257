<script setup lang="ts">
/** The arithmetic of one answer beside it, where the drawer belongs to the screen around it. */
defineProps<{ lines: readonly string[] }>()
</script>

<template>
  <UCollapsible v-if="lines.length > 0">
    <UButton variant="link" size="sm" label="Show working" />
    <template #content>
      <ol tabindex="0" aria-label="Working, line by line" class="mono max-h-48 overflow-y-auto text-[12px]">
        <li v-for="(line, i) in lines" :key="i">{{ line }}</li>
      </ol>
    </template>
  </UCollapsible>
</template>
