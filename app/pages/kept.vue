<script setup lang="ts">
import type { KeptRun } from '~/composables/run/keptRuns'

/** What lies on this device and is not on the server: what waits, and what the server would not have. */
useHead({ title: 'Kept here · Hectarum' })
const outbox = useOutboxStore()
const crew = useCrewStore()
onMounted(outbox.read)
const STATES = {
  idle: 'Nothing is on its way.',
  sending: 'Sending …',
  away: 'The server does not answer; it is tried again by itself.',
  'signed out': 'Sign in, and it is sent: it waits for you alone.',
} as const
const KINDS: Readonly<Record<string, string>> = {
  planned: 'plan frozen here',
  started: 'started',
  gate: 'go or no-go',
  stepped: 'step done',
  measured: 'measured',
  checked: 'checkpoint',
  covered: 'lawn covered',
  set: 'dial or pace',
  paused: 'paused',
  resumed: 'carried on',
  strip: 'extra strip',
  mishap: 'mishap',
  watered: 'watered in',
  noted: 'note',
  photo: 'photo',
  signed: 'signed',
  looked: 'looked at',
  used: 'what was used',
  finished: 'put on record',
}
const all = computed(() => outbox.mine.filter(({ events }) => events.length > 0))
const others = computed(() =>
  outbox.runs.filter((run) => run.events.length > 0 && !outbox.mine.includes(run)),
)
const at = (instant: string) => instantText(instant, crew.organization?.timeZone)
const place = (run: KeptRun) => `/jobs/${run.jobId}`
</script>

<template>
  <main class="page">
    <div class="page-head">
      <h1>Kept on this device</h1>
      <UButton
        label="Send now"
        icon="i-lucide-send"
        :disabled="outbox.waiting === 0"
        @click="outbox.send()"
      />
    </div>
    <p role="status">{{ STATES[outbox.state] }}</p>
    <p v-if="all.length === 0" class="soft">The server has everything that was written down here.</p>
    <section v-for="run in all" :key="run.applicationId" class="pt-5">
      <h2>
        <NuxtLink :to="place(run)" class="way-out">{{ run.site || 'Unnamed site' }}</NuxtLink>
      </h2>
      <ul>
        <li v-for="{ event, state, why } in run.events" :key="event.id" class="rule-b line">
          <StateMark
            :level="state === 'refused' ? 'stop' : 'open'"
            :words="`${KINDS[event.kind] ?? event.kind}${state === 'refused' ? ', not taken' : ', waits'}`"
          />
          <span class="soft small">{{ at(event.at) }}</span>
          <p v-if="why" class="whole">{{ why }}</p>
        </li>
      </ul>
      <UButton
        v-if="run.events.some(({ state }) => state === 'refused')"
        class="mt-2"
        label="Seen: forget what was not taken"
        @click="outbox.forget(run)"
      />
    </section>
    <p v-for="run in others" :key="run.applicationId" class="pt-5 soft">
      {{ run.events.length }} entries of {{ run.site || 'another run' }} wait for whoever wrote them to sign
      in.
    </p>
  </main>
</template>

<style scoped>
.line {
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 2px 16px;
  padding: 8px 0;
}
.whole {
  flex-basis: 100%;
}
</style>
