<script setup lang="ts">
import { plural } from '#core/quantity/counting'
import { DEVICE_UNITS, type DeviceReading } from '#core/devices/deviceLine'
import { instrumentFor, practiceSeed } from '#core/simulated/practiceDevice'
import type { OfferedAct } from '#core/simulated/practiceActs'
import type { PracticeAct } from '#core/simulated/practiceActShape'
import type { Kind } from '#core/quantity/parseQuantity'

/**
 * A scale, a meter or a wheel on the wire: its reading goes into the next empty field at a press. The ones
 * that ship are simulated, with practice machines behind them.
 */
const props = defineProps<{ machineId: string; offered: readonly OfferedAct[]; document: unknown }>()
const { set, locked } = useForm()
const { answer: devices } = useAnswers(questions.devices)
const chosen = ref('')
const cable = ref<'good' | 'bad'>('good')
const acts = shallowRef<readonly PracticeAct[]>([])

const { link, readings, unreadable } = useInstrument(() =>
  chosen.value === ''
    ? undefined
    : `/api/devices/${chosen.value}/lines?` +
      new URLSearchParams({
        seed: String(practiceSeed(props.machineId)),
        cable: cable.value,
        acts: JSON.stringify(acts.value),
      }),
)

const KINDS: Readonly<Record<DeviceReading['quantity'], readonly Kind[]>> = {
  weight: ['mass', 'amount'],
  volume: ['volume', 'amount'],
  distance: ['length', 'span'],
  elapsed: ['stopwatch'],
}
const shownReadings = computed(() => [...readings.value.values()])
const target = useEmptyField(
  () => shownReadings.value.flatMap(({ quantity }) => KINDS[quantity]),
  () => props.document,
)
const kindOf = (path: string) =>
  document.querySelector<HTMLInputElement>(`input[data-path="${path}"]`)?.dataset.kind as Kind | undefined
const fitting = computed(() => {
  const { path } = target.value ?? {}
  const kind = path === undefined ? undefined : kindOf(path)
  return shownReadings.value.find(({ quantity }) => kind !== undefined && KINDS[quantity].includes(kind))
})

function take() {
  const [reading, at] = [fitting.value, target.value]
  if (reading && at) set(at.path, { text: String(reading.value), unit: DEVICE_UNITS[reading.quantity] })
}
/** Doing something with the practice machine shows on the instrument that measures it. */
function practise({ act }: OfferedAct) {
  acts.value = [...acts.value, act]
  chosen.value = instrumentFor(act, chosen.value)
}
const LINK_WORDS = {
  off: '',
  connecting: 'connecting …',
  live: 'connected',
  lost: 'the line dropped: trying again …',
} as const
const STATE_WORDS = { steady: 'steady', moving: 'still moving', over: 'more than it can take' } as const
useScreenCommands(() =>
  fitting.value && target.value
    ? [{ id: 'take-reading', label: `Take the reading into ${target.value.label}`, key: 'ctrl+.', run: take }]
    : [],
)
</script>

<template>
  <section
    v-if="!locked"
    aria-labelledby="instruments-title"
    class="mt-6 space-y-2"
    :class="{ holding: chosen }"
  >
    <h2 id="instruments-title">Instruments</h2>
    <div class="fields">
      <ChoiceField
        label="Read from"
        :value="chosen"
        :choices="[
          { value: '', text: 'nothing: I type' },
          ...devices.map(({ id, name }) => ({ value: id, text: `${name} (simulated)` })),
        ]"
        @change="chosen = $event"
      />
      <ChoiceField
        v-if="chosen"
        label="Cable"
        :value="cable"
        :choices="[
          { value: 'good', text: 'good' },
          { value: 'bad', text: 'bad: noise and drops' },
        ]"
        @change="cable = $event"
      />
    </div>
    <div v-if="chosen" class="live space-y-1">
      <p v-for="reading in shownReadings" :key="reading.quantity" class="reading">
        <strong class="figure"
          >{{ reading.value.toLocaleString('en-US')
          }}<span class="unit">{{ DEVICE_UNITS[reading.quantity] }}</span></strong
        >
        <span class="soft"
          ><span aria-hidden="true">{{
            reading.state === 'steady' ? '●' : reading.state === 'over' ? '■' : '◌'
          }}</span>
          {{ STATE_WORDS[reading.state] }}</span
        >
      </p>
      <p class="soft small" role="status">
        {{ LINK_WORDS[link]
        }}<template v-if="unreadable > 0"
          >; {{ unreadable }} unreadable {{ plural(unreadable, 'line') }} passed over</template
        >
      </p>
      <p v-if="fitting && target">
        <UButton
          color="primary"
          variant="solid"
          :disabled="fitting.state !== 'steady'"
          :label="`Take it: ${target.label}`"
          aria-keyshortcuts="Control+."
          @click="take"
        />
      </p>
      <p v-else class="soft small">No empty field waits for such a reading.</p>
    </div>
    <details>
      <summary class="way-out small">Practise with a machine whose truth is hidden</summary>
      <p class="soft small mt-1">
        A simulated machine stands behind the instruments: do a step, take the reading, and find out what it
        really lets through.
      </p>
      <p class="mt-1 flex flex-wrap gap-2">
        <UButton
          v-for="one in offered"
          :key="one.words"
          size="sm"
          color="neutral"
          variant="outline"
          :label="one.words"
          @click="practise(one)"
        />
      </p>
    </details>
  </section>
</template>

<style scoped>
.reading {
  display: flex;
  align-items: baseline;
  gap: 12px;
}
.figure {
  font-size: 28px;
}
summary {
  cursor: pointer;
}
/* On a phone the reading stays at the thumb while the fields scroll. */
@media (max-width: 760px) {
  .live {
    position: fixed;
    left: 0;
    right: 0;
    bottom: 0;
    z-index: 5;
    background: var(--sheet);
    border-top: 1px solid var(--rule-strong);
    padding: 8px 16px 12px;
  }
  .holding {
    padding-bottom: 150px;
  }
}
</style>
