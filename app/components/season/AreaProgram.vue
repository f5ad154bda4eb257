<script setup lang="ts">
import { v7 as uuid } from 'uuid'
import type { ConflictOffer } from '#core/program/programOutlook'
import { leavingOut, noChange, withChanges } from '#core/program/stepChanges'
import type { Intention } from '#core/program/intentions'
import type { StepChange } from '#core/program/programShape'
import type { AreaProgram } from '#shared/schemas/program'

/** The program of one lawn: its steps dated, conflicts with what clears them, nitrogen of the year. */
const props = defineProps<{
  areaId: string
  site: { readonly id: string; readonly name: string }
}>()
const emit = defineEmits<{ changed: [] }>()
const crew = useCrewStore()
const person = useSelfStore()
const library = useLibraryStore()
const notice = useNotice()
const { planStep } = useIntended()
const { answer, problem, loading, again } = useAnswer(() => questions.areaProgram(props.areaId))
const page = computed(() => (loading.value ? undefined : (answer.value ?? null)))
const { answer: programs } = useAnswers(questions.programs)
library.want()
const nameOf = (id: string) => library.products.find((one) => one.id === id)?.name ?? ''
const conflictsOf = ({ stepId, occurrence }: Intention) =>
  (page.value?.outlook.conflicts ?? []).filter(
    (one) => one.stepId === stepId && one.occurrence === occurrence,
  )
const choices = computed(() => programs.value.map(({ id, name }) => ({ value: id, text: name })))

async function apply(programId: string) {
  await send(uuid(), { version: 0, areaId: props.areaId, programId, document: BLANK })
}
const BLANK: AreaProgram['document'] = { schema: 1, changes: [], notes: '' }
async function send(id: string, body: Omit<AreaProgram, 'id' | 'updatedAt'>) {
  try {
    await tell('PUT', `/library/areaPrograms/${id}`, body)
  } catch (error) {
    notice.say('The program of this lawn was not changed.', errorText(error))
  }
  await again()
  emit('changed')
}
async function change(changes: readonly StepChange[]) {
  const { applied } = page.value ?? {}
  if (!applied) return
  const { id, version, areaId, programId, document } = applied
  const kept = withChanges(document.changes, changes)
  await send(id, { version, areaId, programId, document: { ...document, changes: [...kept] } })
}
const take = async (offer: ConflictOffer) => {
  const before = page.value?.applied.document
  await change(offer.changes)
  notice.say(`Changed on this lawn: ${offer.label}.`, undefined, {
    label: 'Undo',
    act: async () => {
      const { applied } = page.value ?? {}
      if (!applied || !before) return
      const { id, version, areaId, programId } = applied
      await send(id, { version, areaId, programId, document: before })
    },
  })
}
async function takeOff() {
  const { applied } = page.value ?? {}
  if (!applied) return
  try {
    await tell('DELETE', `/library/areaPrograms/${applied.id}`, { version: applied.version })
  } catch (error) {
    notice.say('The program was not taken off.', errorText(error))
  }
  await again()
  emit('changed')
}
const doneToday = (step: Intention) => change([{ ...noChange(step), doneOn: crew.today() }])
const menu = computed(() => [
  {
    label: 'Open the program',
    icon: 'i-lucide-list-checks',
    to: `/season/programs/${page.value?.program.id}`,
  },
  ...(person.may('govern')
    ? [{ label: 'Take it off this lawn', icon: 'i-lucide-circle-slash', onSelect: takeOff }]
    : []),
])
</script>

<template>
  <section aria-labelledby="program-title">
    <div class="flex flex-wrap items-center gap-x-4">
      <h2 id="program-title">{{ page ? page.program.name : 'Program' }}</h2>
      <UDropdownMenu v-if="page" :items="menu">
        <UButton icon="i-lucide-ellipsis" size="sm" aria-label="More of this program" />
      </UDropdownMenu>
    </div>
    <p v-if="problem" role="alert">{{ problem }}</p>
    <template v-if="page === null">
      <p class="soft">No program on this lawn: its steps would be dated here as the season comes.</p>
      <p v-if="person.may('work')" class="mt-2 flex flex-wrap items-end gap-3">
        <ChoiceField
          v-if="choices.length > 0"
          label="Apply a program"
          class="w-72"
          value=""
          :choices="choices"
          @change="apply"
        />
        <UButton v-else to="/season/programs" label="Make the first program" />
      </p>
    </template>
    <template v-else-if="page">
      <NitrogenBudget
        v-if="page.outlook.nitrogen"
        :budget="page.outlook.nitrogen"
        :working="page.working.flatMap(({ lines }) => lines)"
        class="mt-1"
      />
      <DosePlans
        v-if="page.outlook.doses.length > 0"
        :plans="page.outlook.doses"
        @take="take({ label: `nitrogen ${$event.school}`, changes: $event.changes })"
      />
      <ol>
        <StepRow
          v-for="step in page.intentions"
          :key="`${step.stepId} ${step.occurrence}`"
          :step="step"
          :product="nameOf(step.productId)"
          :conflicts="conflictsOf(step)"
          @plan="planStep(step, site.id, site.name, [areaId])"
          @leave-out="change([leavingOut(step)])"
          @bring-back="change([noChange(step)])"
          @done="doneToday(step)"
          @take="take"
        />
      </ol>
      <p v-if="page.outlook.open.length > 0" class="soft small mt-2">
        Not counted yet: {{ page.outlook.open.join('; ') }}.
      </p>
    </template>
  </section>
</template>
