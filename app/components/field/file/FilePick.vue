<script setup lang="ts">
import type { ButtonProps } from '@nuxt/ui'

/** A file of this device, chosen with mouse or key. */
const props = withDefaults(
  defineProps<{
    label: string
    accept: string
    /** What the button says, where that is shorter. */
    words?: string
    variant?: ButtonProps['variant']
    color?: ButtonProps['color']
    loading?: boolean
  }>(),
  { words: undefined, variant: 'link', color: 'neutral' },
)
const emit = defineEmits<{ file: [file: File] }>()
const chosen = ref<File | null>(null)
watch(chosen, async (file) => {
  if (!file) return
  emit('file', file)
  // The same file may be chosen again once it was mended.
  await nextTick()
  chosen.value = null
})
</script>

<template>
  <UFileUpload v-slot="{ open }" v-model="chosen" :accept="accept" :aria-label="label" class="inline-block">
    <UButton
      :label="props.words ?? label"
      :variant="variant"
      :color="color"
      :loading="loading"
      :size="variant === 'link' ? 'sm' : 'md'"
      icon="i-lucide-file-input"
      @click="open()"
    />
  </UFileUpload>
</template>
