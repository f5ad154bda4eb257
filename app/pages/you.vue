<script setup lang="ts">
import { licenceStanding } from '#core/people/licence'
import type { Person, SavePerson } from '#shared/schemas/people'

/** One's own name, licence, passphrase and devices. */
useHead({ title: 'You · Hectarum' })
const crew = useCrewStore()
const own = useSelfStore()
const notice = useNotice()
await own.load()
if (!own.person) await navigateTo({ path: '/sign-in', query: { next: '/you' } })

const entries = reactive({
  name: own.person?.name ?? '',
  licence: own.person?.licence ?? '',
  licenceEnds: own.person?.licenceEnds ?? '',
})
const save = useAskForm('about', async () => {
  const body: SavePerson = { version: own.person?.version ?? 0, ...entries }
  own.take(await tell<Person>('PUT', '/api/people/me', body))
  notice.say('Saved.')
})
const standing = computed(() => licenceStanding(entries.licence, entries.licenceEnds, crew.today()))
const STANDINGS = {
  none: 'No licence is noted: what you finish says so on its record.',
  valid: '',
  'ends-soon': 'It ends within 30 days: renew it in time.',
  ended: 'It has ended: records finished from now on say so.',
} as const

const phrases = reactive({ now: '', next: '' })
const change = useAskForm('words', async () => {
  await tell('PUT', '/api/people/passphrase', phrases)
  phrases.now = ''
  phrases.next = ''
  await own.load()
  notice.say('The new passphrase holds. Other devices are signed out.')
})
</script>

<template>
  <main class="page">
    <h1>{{ own.person?.name ?? 'You' }}</h1>
    <p class="soft">{{ crew.choice?.role }} of {{ crew.organization?.name }}</p>
    <div class="mt-5 grid max-w-4xl gap-x-10 gap-y-8 md:grid-cols-2">
      <section aria-labelledby="about-title">
        <h2 id="about-title">Name and licence</h2>
        <UForm :validate-on="[]" ref="about" :state="entries" class="mt-2 space-y-3" @submit="save.submit">
          <UFormField name="name" label="Name, as on records" required>
            <UInput v-model="entries.name" class="w-full" autocomplete="name" maxlength="200" />
          </UFormField>
          <UFormField name="licence" label="Licence number">
            <UInput v-model="entries.licence" class="w-full" maxlength="200" />
          </UFormField>
          <DayField
            label="Last day it is valid; blank if it has no end"
            :day="entries.licenceEnds"
            path="licenceEnds"
            @change="entries.licenceEnds = $event"
          />
          <p v-if="STANDINGS[standing]" class="small">{{ STANDINGS[standing] }}</p>
          <UAlert v-if="save.problem" role="alert" color="error" variant="subtle" :title="save.problem" />
          <UButton type="submit" label="Save" color="primary" variant="solid" :loading="save.busy" />
        </UForm>
      </section>
      <section aria-labelledby="passphrase-title">
        <h2 id="passphrase-title">Passphrase</h2>
        <UForm :validate-on="[]" ref="words" :state="phrases" class="mt-2 space-y-3" @submit="change.submit">
          <PassphraseField v-model="phrases.now" name="now" label="The one you have" />
          <PassphraseField v-model="phrases.next" name="next" label="The new one" fresh />
          <UAlert v-if="change.problem" role="alert" color="error" variant="subtle" :title="change.problem" />
          <UButton type="submit" label="Change it" :loading="change.busy" />
        </UForm>
      </section>
      <section aria-labelledby="devices-title">
        <h2 id="devices-title">Devices</h2>
        <p class="mt-1">
          You are signed in on {{ own.self?.sessions ?? 1 }}
          {{ own.self?.sessions === 1 ? 'device, this one' : 'devices' }}.
        </p>
        <p class="mt-3 flex flex-wrap gap-3">
          <UButton label="Sign out here" @click="own.signOut('here')" />
          <UButton label="Sign out everywhere" @click="own.signOut('everywhere')" />
        </p>
      </section>
    </div>
  </main>
</template>
