<script setup lang="ts">
import { v7 as uuid } from 'uuid'

/** An invitation taken up, as somebody new or as who is signed in already. */
definePageMeta({ layout: 'door' })
useHead({ title: 'Join a crew · Hectarum' })
const route = useRoute()
const crew = useCrewStore()
const own = useSelfStore()
await own.load()
const code = ref(typeof route.query.code === 'string' ? route.query.code : '')
const newcomer = ref(BLANK_NEWCOMER)
const state = computed(() => ({ code: code.value, ...newcomer.value }))
const ask = useAskForm('form', async () => {
  await tell('POST', '/api/people/join', {
    code: code.value,
    ...(own.person ? {} : { person: { id: uuid(), ...newcomer.value } }),
  })
  await Promise.all([crew.load(), own.load()])
  await navigateTo('/today')
})
</script>

<template>
  <div>
    <h1>Join a crew</h1>
    <UForm :validate-on="[]" ref="form" :state="state" class="mt-4 space-y-4" @submit="ask.submit">
      <UFormField name="code" label="Code of the invitation" required>
        <UInput v-model="code" class="w-full" autocomplete="off" autocapitalize="characters" maxlength="60" />
      </UFormField>
      <p v-if="own.person">
        You join as <strong>{{ own.person.name }}</strong>.
      </p>
      <NewcomerFields v-else v-model="newcomer" />
      <UAlert v-if="ask.problem" role="alert" color="error" variant="subtle" :title="ask.problem" />
      <UButton type="submit" label="Join" color="primary" variant="solid" block :loading="ask.busy" />
    </UForm>
    <p v-if="!own.person" class="mt-6">
      <UButton
        label="I sign in here already"
        :to="{ path: '/sign-in', query: { next: `/join?code=${encodeURIComponent(code)}` } }"
        variant="link"
      />
    </p>
  </div>
</template>
