<script setup lang="ts">
import type { Newcomer } from '~/composables/people/newcomer'

/** Who somebody new is: the name on records, and what they sign in with. */
const model = defineModel<Newcomer>({ required: true })
const set = (fields: Partial<Newcomer>) => {
  model.value = { ...model.value, ...fields }
}
</script>

<template>
  <UFormField name="name" label="Your name, as on records" required>
    <UInput
      :model-value="model.name"
      class="w-full"
      autocomplete="name"
      maxlength="200"
      @update:model-value="set({ name: $event })"
    />
  </UFormField>
  <UFormField
    name="signIn"
    label="Name to sign in with"
    help="Without blanks: rosa.field, or an address."
    required
  >
    <UInput
      :model-value="model.signIn"
      class="w-full"
      autocomplete="username"
      autocapitalize="none"
      spellcheck="false"
      maxlength="120"
      @update:model-value="set({ signIn: $event })"
    />
  </UFormField>
  <PassphraseField
    name="passphrase"
    label="Passphrase"
    fresh
    :model-value="model.passphrase"
    @update:model-value="set({ passphrase: $event })"
  />
</template>
