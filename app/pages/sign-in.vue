<script setup lang="ts">
/** Who comes back says who they are. */
definePageMeta({ layout: 'door' })
useHead({ title: 'Sign in · Hectarum' })
const route = useRoute()
const crew = useCrewStore()
const own = useSelfStore()
const state = reactive({ signIn: '', passphrase: '' })
const { answer: self } = useAnswer(questions.me)
const atHome = computed(() => self.value?.open ?? false)
const ask = useAskForm('form', async () => {
  await tell('POST', '/api/people/sign-in', state)
  await Promise.all([crew.load(), own.load()])
  await navigateTo(placeAfter(route.query.next))
})
</script>

<template>
  <div>
    <h1>Sign in</h1>
    <UForm :validate-on="[]" ref="form" :state="state" class="mt-4 space-y-4" @submit="ask.submit">
      <UFormField name="signIn" label="Name to sign in with" required>
        <UInput
          v-model="state.signIn"
          class="w-full"
          autocomplete="username"
          autocapitalize="none"
          spellcheck="false"
          autofocus
        />
      </UFormField>
      <PassphraseField v-model="state.passphrase" name="passphrase" label="Passphrase" />
      <UAlert v-if="ask.problem" role="alert" color="error" variant="subtle" :title="ask.problem" />
      <UButton type="submit" label="Sign in" color="primary" variant="solid" block :loading="ask.busy" />
    </UForm>
    <p class="mt-6 flex flex-wrap gap-x-5 gap-y-2">
      <UButton label="Take up an invitation" to="/join" variant="link" />
      <UButton v-if="atHome" label="Open the sample without signing in" to="/today?sample" variant="link" />
    </p>
    <p class="soft small mt-6">
      Forgotten the passphrase? An owner of the crew takes you out and invites you again, under another name
      to sign in with; what you did keeps yours.
    </p>
  </div>
</template>
