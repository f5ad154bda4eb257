<script setup lang="ts">
import { dayText } from '#core/calendar/dayText'
import type { CalendarRow, MadeCalendar } from '#shared/schemas/calendar'
import { v7 as uuid } from 'uuid'

/** Private addresses at which calendar programs read what comes; each told once, taken back by a press. */
const notice = useNotice()
const own = useSelfStore()
const { answer: rows, problem, again } = useAnswers(questions.calendars)
const { answer: page } = useAnswer(questions.sites)
const sites = computed(() => page.value?.rows ?? [])
const WHOSE = {
  crew: 'the whole crew: jobs, what is due, programs',
  mine: 'my own jobs',
  client: 'a site, in plain words for its client',
} as const
const choices = computed(() =>
  (['crew', 'mine', 'client'] as const)
    .filter((whose) => whose !== 'mine' || own.person !== undefined)
    .map((value) => ({ value, text: WHOSE[value] })),
)
const blank = () => ({ id: uuid(), name: '', whose: 'crew' as CalendarRow['whose'], siteId: '' })
const entry = ref(blank())
const siteChoices = computed(() => [
  { value: '', text: 'choose' },
  ...sites.value.map(({ id, name }) => ({ value: id, text: name })),
])
const siteName = (id: string | null) => sites.value.find((one) => one.id === id)?.name ?? ''
const made = shallowRef<MadeCalendar>()
const failed = ref<string>()
const address = computed(() => made.value && new URL(made.value.path, window.location.href).href)
async function make() {
  const { id, name, whose, siteId } = entry.value
  try {
    made.value = await tell<MadeCalendar>('POST', '/calendars', {
      id,
      name: name.trim() || (whose === 'client' ? siteName(siteId) : 'Calendar'),
      whose,
      ...(whose === 'client' && siteId && { siteId }),
    })
  } catch (error) {
    failed.value = errorText(error)
    return
  }
  failed.value = undefined
  entry.value = blank()
  await again()
}
async function copy() {
  if (address.value === undefined) return
  await navigator.clipboard.writeText(address.value)
  notice.say('The address is copied.')
}
async function revoke({ id, name }: CalendarRow) {
  try {
    await tell('DELETE', `/calendars/${id}`)
  } catch (error) {
    return notice.say(`${name} stays.`, errorText(error))
  }
  if (made.value?.id === id) made.value = undefined
  await again()
  notice.say(`${name} is taken back: nothing is found at its address any more.`)
}
</script>

<template>
  <section aria-labelledby="calendars-title" class="space-y-3">
    <div class="flex flex-wrap items-baseline gap-4">
      <h2 id="calendars-title">Calendar addresses</h2>
      <NuxtLink :to="crewUrl('/calendars/file')" external class="way-out small"
        >The crew’s as a file</NuxtLink
      >
    </div>
    <p class="soft small max-w-2xl">
      A calendar program that is given such an address shows what comes by itself. Whoever has the address can
      read it without signing in: hand it only to whom it is for, and take it back when it is lost.
    </p>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <ul>
      <li v-for="row in rows" :key="row.id" class="rule-b flex flex-wrap items-baseline gap-x-4 py-2">
        <strong class="font-semibold">{{ row.name }}</strong>
        <span class="soft small flex-1"
          >{{ row.whose === 'client' ? `${siteName(row.siteId)}, for its client` : WHOSE[row.whose] }}; since
          {{ dayText(row.createdAt.slice(0, 10)) }}</span
        >
        <UButton v-if="own.may('work')" variant="link" size="sm" @click="revoke(row)"
          >Take it back<span class="sr-only">: {{ row.name }}</span></UButton
        >
      </li>
    </ul>
    <p v-if="rows.length === 0" class="soft">None yet.</p>
    <UAlert
      v-if="made"
      icon="i-lucide-calendar-check"
      :title="`${made.name}: its address is shown this once`"
      :ui="{ description: 'break-all' }"
      :description="address"
      :actions="[{ label: 'Copy it', onClick: copy }]"
    />
    <form
      v-if="own.may('work')"
      class="grid max-w-2xl gap-3 sm:grid-cols-2"
      aria-label="New calendar address"
      @submit.prevent="make"
    >
      <ChoiceField
        label="A new address for"
        :value="entry.whose"
        :choices="choices"
        @change="entry.whose = $event"
      />
      <ChoiceField
        v-if="entry.whose === 'client'"
        label="Site"
        :value="entry.siteId"
        :choices="siteChoices"
        @change="entry.siteId = $event"
      />
      <TextField
        label="Its name"
        :text="entry.name"
        placeholder="phone of T. Arkwright"
        @change="entry.name = $event"
      />
      <p v-if="failed" role="alert" class="sm:col-span-2">{{ failed }}</p>
      <p class="sm:col-span-2">
        <UButton
          type="submit"
          label="Make the address"
          color="primary"
          variant="solid"
          :disabled="entry.whose === 'client' && entry.siteId === ''"
        />
      </p>
    </form>
  </section>
</template>
