<script setup lang="ts">
import { v7 as uuid } from 'uuid'

/** A crew that nobody signs in for gets its first owner. */
const crew = useCrewStore()
const own = useSelfStore()
const code = ref('')
const newcomer = ref(BLANK_NEWCOMER)
const state = computed(() => ({ code: code.value, ...newcomer.value }))
const ask = useAskForm('form', async () => {
  await tell('POST', '/api/people/first', {
    id: uuid(),
    organizationId: crew.organization?.id,
    code: code.value,
    ...newcomer.value,
  })
  await Promise.all([crew.load(), own.load()])
})
</script>

<template>
  <div class="max-w-md">
    <p>
      Nobody signs in yet: this crew is open to whoever sits at this machine, and to no other device. Become
      its owner to let phones in and to have names on records.
    </p>
    <UForm :validate-on="[]" ref="form" :state="state" class="mt-3 space-y-3" @submit="ask.submit">
      <NewcomerFields v-model="newcomer" />
      <UFormField
        name="code"
        label="Code for the first owner"
        help="It is printed where Hectarum was started, below its address."
        required
      >
        <UInput v-model="code" class="w-full" autocomplete="off" autocapitalize="characters" maxlength="60" />
      </UFormField>
      <UAlert v-if="ask.problem" role="alert" color="error" variant="subtle" :title="ask.problem" />
      <UButton type="submit" label="Become the owner" color="primary" variant="solid" :loading="ask.busy" />
    </UForm>
  </div>
</template>
