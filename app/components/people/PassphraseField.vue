<script setup lang="ts">
import { LONGEST_PASSPHRASE, SHORTEST_PASSPHRASE } from '#core/people/passphrase'

/** A passphrase, hidden until one asks to see it; a new one says what it takes. */
const model = defineModel<string>({ required: true })
const { name, label, fresh } = defineProps<{ name: string; label: string; fresh?: boolean }>()
const shown = ref(false)
const help = computed(() =>
  fresh
    ? `At least ${SHORTEST_PASSPHRASE} characters: three or four words that say nothing to others.`
    : undefined,
)
</script>

<template>
  <UFormField :name="name" :label="label" :help="help" required>
    <UInput
      v-model="model"
      :type="shown ? 'text' : 'password'"
      :autocomplete="fresh ? 'new-password' : 'current-password'"
      :maxlength="LONGEST_PASSPHRASE"
      class="w-full"
    >
      <template #trailing>
        <UButton
          type="button"
          variant="link"
          size="sm"
          :label="shown ? 'Hide' : 'Show'"
          :aria-label="`${shown ? 'Hide' : 'Show'}: ${label}`"
          :aria-pressed="shown"
          @click="shown = !shown"
        />
      </template>
    </UInput>
  </UFormField>
</template>
